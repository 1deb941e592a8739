package tallledger.core.drive;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import tallledger.core.plate.Lever;
import tallledger.core.plate.LeverFactors;
import tallledger.core.plate.PlateRemark;
import tallledger.core.plate.PlateRemark.Kind;
import tallledger.core.reason.Reason;

/**
 * Do the stages as described agree with the plate? Every speed the ratios give is laid beside the plate's, within 6 % (a motor's
 * full-load speed lies as much under its no-load one); every stage whose ratios are typed has its own factors laid beside those that
 * the plate's numbers give it, within 3 % (house rules). A guessed ratio is so settled by the plate.
 *
 * <p>Worked: motor 1 440, belts 100/200 and 100/100, plate 720 and 1 000: at the second the stages give 1 440; by its grooves 2 is
 * 2.00 × 1, by the plate 1.39 ×.
 */
public final class StageCheck {

    private static final double SPEED = 0.06;
    private static final double FACTOR = 0.03;
    private static final int MOST_NAMED = 6;
    private static final MathContext SHOWN = new MathContext(3);

    private StageCheck() {
    }

    public static List<PlateRemark> of(SpeedTable table) {
        List<PlateRemark> remarks = new ArrayList<>(factors(table));
        List<Route> off = table.train().routes().stream().filter(r -> !table.train().isReverse(r) && !table.train().isSweep(r))
                .filter(r -> isOff(table, r)).toList();
        if (!off.isEmpty()) {
            List<Object> named = new ArrayList<>();
            off.stream().limit(MOST_NAMED)
                    .forEach(r -> named.add(Reason.of(DriveReason.PLATE_STAGES_GIVE, table.train().name(r),
                            shown(table.train().speed(r).orElseThrow().low()), plate(table, r).orElseThrow())));
            remarks.add(new PlateRemark(Kind.CONTRADICTS, off.stream().map(table.train()::plateKey).toList(), Optional.empty(), List.of(),
                    Reason.of(DriveReason.PLATE_STAGES_CONTRADICT, off.size(), named)));
        }
        return remarks;
    }

    private static Optional<BigDecimal> plate(SpeedTable table, Route route) {
        return table.plate().cell(table.train().plateKey(route)).value();
    }

    private static boolean isOff(SpeedTable table, Route route) {
        Optional<Span> given = table.train().speed(route);
        return plate(table, route)
                .filter(p -> given.isPresent() && Math.abs(Math.log(p.doubleValue() / given.get().low())) > Math.log(1 + SPEED))
                .isPresent();
    }

    /** Each stage's factors over its first position, as typed and by the plate. */
    private static List<PlateRemark> factors(SpeedTable table) {
        List<PlateRemark> remarks = new ArrayList<>();
        LeverFactors plate = table.factors();
        boolean read = table.plate().cells().values().stream().anyMatch(c -> c.value().isPresent());
        // The cells of a sliding range are its ends: their quotients are no lever's factors.
        boolean slides = plate.levers().stream().anyMatch(Lever::slides);
        if (!read || slides || plate.outcome() == LeverFactors.Outcome.DOES_NOT_MULTIPLY) {
            return remarks;
        }
        List<Stage> stages = table.train().plateStages();
        for (int l = 0; l < stages.size(); l++) {
            Stage stage = stages.get(l);
            List<Position> positions = stage.positions().stream().filter(p -> !(p.transmission() instanceof Transmission.Neutral)).toList();
            List<Optional<Double>> byPlate = plate.factors(l);
            IntStream.range(1, positions.size())
                    .forEach(p -> compare(stage, positions.get(0), positions.get(p), byPlate.get(p)).ifPresent(remarks::add));
        }
        return remarks;
    }

    private static Optional<PlateRemark> compare(Stage stage, Position first, Position other, Optional<Double> byPlate) {
        Optional<Span> a = first.transmission().factor();
        Optional<Span> b = other.transmission().factor();
        if (a.isEmpty() || b.isEmpty() || byPlate.isEmpty()) {
            return Optional.empty();
        }
        double typed = b.get().low() / a.get().low();
        if (Math.abs(Math.log(byPlate.get() / typed)) <= Math.log(1 + FACTOR)) {
            return Optional.empty();
        }
        boolean faster = typed >= 1;
        Position slow = faster ? first : other;
        Position fast = faster ? other : first;
        return Optional.of(new PlateRemark(Kind.CONTRADICTS, List.of(), Optional.empty(), List.of(),
                Reason.of(DriveReason.PLATE_STAGE_FACTOR, stage.name(), fast.label(), slow.label(),
                        shown(faster ? typed : 1 / typed), shown(faster ? byPlate.get() : 1 / byPlate.get()))));
    }

    private static BigDecimal shown(double value) {
        return new BigDecimal(value).round(SHOWN);
    }
}
