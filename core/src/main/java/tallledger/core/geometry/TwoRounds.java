package tallledger.core.geometry;

import java.util.Optional;

/**
 * Two rounds of readings as vectors of eccentricity v = e·(cos φ, sin φ), mm.
 *
 * <p>Two planes, distance L apart: tilt = |v_far − v_near|/L; offset where the near vector is over the noise, tilted where the difference
 * is. An arbor turned half a turn in its spindle, angles on the spindle: spindle part (v_1 + v_2)/2, arbor part (v_1 − v_2)/2.
 *
 * <p>Worked: v_1 = (30, 0), v_2 = (−10, 0) µm: spindle 10 µm at 0°, arbor 20 µm at 0°.
 *
 * @param first  near the nose, or as the arbor stood first
 * @param second far out, or with the arbor turned half
 */
public record TwoRounds(Vector first, Vector second) {

    /** An eccentricity with where it is highest. */
    public record Vector(double x, double y) {

        public static Vector of(Round round) {
            double phi = Math.toRadians(round.highSpot());
            return new Vector(round.eccentricity() * Math.cos(phi), round.eccentricity() * Math.sin(phi));
        }

        public double size() {
            return Math.hypot(x, y);
        }

        /** Where it is highest, degrees from 0 to 360. */
        public double degrees() {
            double degrees = Math.toDegrees(Math.atan2(y, x));
            return degrees < 0 ? degrees + 360 : degrees;
        }

        Vector half(Vector other, int sign) {
            return new Vector((x + sign * other.x) / 2, (y + sign * other.y) / 2);
        }

        Vector less(Vector other) {
            return new Vector(x - other.x, y - other.y);
        }
    }

    /** How an axis stands to the spindle's. */
    public enum Standing { TRUE, OFFSET, TILTED, BOTH }

    public static TwoRounds of(Round first, Round second) {
        return new TwoRounds(Vector.of(first), Vector.of(second));
    }

    /** The vector k times as far out as the second plane is from the first. */
    public Vector along(double k) {
        return new Vector(first.x + k * (second.x - first.x), first.y + k * (second.y - first.y));
    }

    /** Of two planes, mm a mm. */
    public double tilt(double apart) {
        return second.less(first).size() / apart;
    }

    /** @param noise mm; below it a vector is none */
    public Standing standing(double noise) {
        boolean offset = first.size() > noise;
        boolean tilted = second.less(first).size() > noise;
        return offset && tilted ? Standing.BOTH : offset ? Standing.OFFSET : tilted ? Standing.TILTED : Standing.TRUE;
    }

    /** What stays with the spindle when the arbor is turned. */
    public Vector spindle() {
        return first.half(second, 1);
    }

    /** What goes round with the arbor. */
    public Vector arbor() {
        return first.half(second, -1);
    }

    /** The part that is clearly the greater, with the spindle's first; empty where neither is over the noise. */
    public Optional<Boolean> isSpindles(double noise) {
        double own = spindle().size();
        double its = arbor().size();
        return Math.max(own, its) <= noise || Math.abs(own - its) <= noise ? Optional.empty() : Optional.of(own > its);
    }
}
