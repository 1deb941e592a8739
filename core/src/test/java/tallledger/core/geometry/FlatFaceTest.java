package tallledger.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tallledger.core.geometry.FlatFace.FacePoint;
import tallledger.core.geometry.FlatFace.Plane;
import tallledger.core.reason.Refused;

/** Flat faces against cases seen at once, and against every plane that can touch. */
class FlatFaceTest {

    private static FlatFace grid(double... heights) {
        int side = (int) Math.sqrt(heights.length);
        return FlatFace.grid(100, 100,
                IntStream.range(0, side).mapToObj(r -> IntStream.range(0, side).mapToObj(c -> heights[r * side + c]).toList()).toList());
    }

    @Test
    void cornersOfASquareAndABumpInTheMiddle() {
        assertThat(grid(0, 0, 0, 1).zone()).as("an edge against an edge").isEqualTo(0.5, within(1e-9));
        assertThat(grid(0, 0, 0, 0, 1, 0, 0, 0, 0).zone()).as("a face against a point").isEqualTo(1, within(1e-9));
        assertThat(grid(0, 1, 2, 3, 4, 5, 6, 7, 8).zone()).as("a plane").isEqualTo(0, within(1e-9));
        assertThat(grid(0, 0, 0, 0).zone()).isEqualTo(0, within(1e-9));
        Plane plane = grid(0, 1, 2, 3, 4, 5, 6, 7, 8).leastSquares();
        assertThat(plane.b()).isEqualTo(0.01, within(1e-12));
        assertThat(plane.c()).isEqualTo(0.03, within(1e-12));
    }

    @Test
    void theLeastZoneIsThatOfEveryPlaneThatCanTouch() {
        Random random = new Random(11);
        for (int n = 0; n < 60; n++) {
            int rows = 2 + random.nextInt(3);
            int columns = 2 + random.nextInt(3);
            List<List<Double>> heights = new ArrayList<>();
            for (int r = 0; r < rows; r++) {
                heights.add(IntStream.range(0, columns).mapToObj(c -> random.nextInt(3) == 0 ? 0.0 : random.nextGaussian() / 50).toList());
            }
            FlatFace face = FlatFace.grid(40 + random.nextInt(200), 40 + random.nextInt(200), heights);
            assertThat(face.zone()).as(heights.toString()).isEqualTo(everyPlane(face), within(1e-9))
                    .isLessThanOrEqualTo(face.spread(face.leastSquares()) + 1e-9);
        }
    }

    /** Through three points, or parallel to two lines of two: the slopes where the spread can be least. */
    private static double everyPlane(FlatFace face) {
        List<FacePoint> p = face.points();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < p.size(); i++) {
            for (int j = i + 1; j < p.size(); j++) {
                for (int k = 0; k < p.size(); k++) {
                    for (int l = k + 1; l < p.size(); l++) {
                        double ax = p.get(j).x() - p.get(i).x();
                        double ay = p.get(j).y() - p.get(i).y();
                        double bx = p.get(l).x() - p.get(k).x();
                        double by = p.get(l).y() - p.get(k).y();
                        double across = ax * by - bx * ay;
                        if (Math.abs(across) > 1e-9) {
                            double az = p.get(j).z() - p.get(i).z();
                            double bz = p.get(l).z() - p.get(k).z();
                            least = Math.min(least, face.spread(new Plane(0, (az * by - bz * ay) / across, (ax * bz - bx * az) / across)));
                        }
                    }
                }
            }
        }
        return least;
    }

    @Test
    void whatIsNoGridIsRefused() {
        assertThatThrownBy(() -> FlatFace.grid(10, 10, List.of(List.of(0.0, 1.0)))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> FlatFace.grid(10, 10, List.of(List.of(0.0, 1.0), List.of(0.0)))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> FlatFace.grid(10, 10, List.of())).isInstanceOf(Refused.class);
    }
}
