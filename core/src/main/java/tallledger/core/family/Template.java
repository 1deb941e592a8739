package tallledger.core.family;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.Severity;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.Recording;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.InUnit;
import tallledger.core.rules.InchLimits;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/**
 * A line of the catalogue: a step with the conditions under which a machine gets it. One about an axis becomes a step for every
 * axis that has what it asks for, and one for each way where it is done each way.
 */
final class Template implements CatalogueLine {

    /** What a step is made for. */
    record StepSubject(Described machine, Optional<Axis> axis, boolean plus) {

        Axis moves() {
            return axis.orElseThrow();
        }

    }

    private final String code;
    private final Phase phase;
    private final Severity ifBad;
    private final int seconds;
    private Function<StepSubject, Recording<?>> recording = subject -> new Inspection();
    private final List<Predicate<Described>> conditions = new ArrayList<>();
    private BiPredicate<Described, Axis> axes;
    private boolean eachWay;
    private final List<Need.Kind> needs = new ArrayList<>();
    private String system = "";
    private final Set<String> spares = new HashSet<>();
    private final List<Function<LengthUnit, Object>> figures = new ArrayList<>();
    private boolean runs;

    private Template(String code, Phase phase, Severity ifBad, int seconds) {
        this.code = code;
        this.phase = phase;
        this.ifBad = ifBad;
        this.seconds = seconds;
        this.runs = phase.usuallyRuns();
    }

    static Template step(String code, Phase phase, Severity ifBad, int seconds) {
        return new Template(code, phase, ifBad, seconds);
    }

    Template records(Recording<?> fixed) {
        recording = subject -> fixed;
        return this;
    }

    Template records(Function<StepSubject, Recording<?>> made) {
        recording = made;
        return this;
    }

    Template cycle(String script) {
        return records(new WatchedCycle(script));
    }

    Template with(Feature... features) {
        List.of(features).forEach(f -> conditions.add(m -> m.fitOut().has(f)));
        return this;
    }

    Template when(Predicate<Described> condition) {
        conditions.add(condition);
        return this;
    }

    Template eachAxis(Predicate<Axis> having) {
        return eachAxis((machine, axis) -> having.test(axis));
    }

    Template eachAxis(BiPredicate<Described, Axis> having) {
        axes = having;
        return this;
    }

    Template eachWay() {
        eachWay = true;
        return this;
    }

    Template needs(Need.Kind... kinds) {
        needs.addAll(List.of(kinds));
        return this;
    }

    /** A length that stands in its words, mm: a round one on an inch machine. */
    Template naming(int mm) {
        figures.add(unit -> InUnit.length(unit == LengthUnit.INCH ? InchLimits.length(BigDecimal.valueOf(mm)) : BigDecimal.valueOf(mm),
                unit));
        return this;
    }

    /** The unit that its words ask for. */
    Template naming(FieldUnit counted) {
        figures.add(counted::in);
        return this;
    }

    /** What stands in its words on a metric machine, and on an inch machine. */
    Template naming(String metric, String inch) {
        figures.add(unit -> unit == LengthUnit.INCH ? inch : metric);
        return this;
    }

    /** Nothing turns or travels under power for it, though other steps of its phase do. */
    Template still() {
        runs = false;
        return this;
    }

    /** Something travels under power for it, though other steps of its phase are done by hand. */
    Template underPower() {
        runs = true;
        return this;
    }

    /** What is put right when it fails; on an axis the axis' own. */
    Template of(String name) {
        system = name;
        return this;
    }

    Template spares(String... codes) {
        spares.addAll(List.of(codes));
        return this;
    }

    /** What is put right, an axis left out. */
    String systemName() {
        return system.isEmpty() ? code : system;
    }

    String code() {
        return code;
    }

    int seconds() {
        return seconds;
    }

    Phase phase() {
        return phase;
    }

    private boolean fits(Described machine) {
        return conditions.stream().allMatch(c -> c.test(machine));
    }

    @Override
    public Stream<Template> templates() {
        return Stream.of(this);
    }

    /** A step about the whole machine. */
    @Override
    public List<Step> on(Described machine, Rules rules) {
        return fits(machine) ? List.of(made(new StepSubject(machine, Optional.empty(), false), List.of(), rules)) : List.of();
    }

    /** Steps about one axis, each way where it is done each way. */
    List<Step> forAxis(Described machine, Axis axis, Rules rules) {
        if (!fits(machine) || !axes.test(machine, axis)) {
            return List.of();
        }
        if (!eachWay) {
            return List.of(made(new StepSubject(machine, Optional.of(axis), false), List.of(axis.name()), rules));
        }
        return List.of(made(new StepSubject(machine, Optional.of(axis), false), List.of(axis.name(), axis.minus()), rules),
                made(new StepSubject(machine, Optional.of(axis), true), List.of(axis.name(), axis.plus()), rules));
    }

    private Step made(StepSubject subject, List<String> about, Rules rules) {
        Optional<AxisId> axis = subject.axis.map(Axis::id);
        String name = subject.axis.or(() -> usual(subject.machine)).map(Axis::name).orElse(systemName());
        StepId.Side side = about.size() < 2 ? StepId.Side.BOTH : subject.plus ? StepId.Side.PLUS : StepId.Side.MINUS;
        List<Need> needed = needs.stream().filter(kind -> isThere(kind, subject))
                .map(kind -> new Need(kind, isOfAxis(kind) ? name : "")).toList();
        StepId id = new StepId(code, axis.map(AxisId::written).orElse(""), side);
        return new Step(id, about, phase, recording.apply(subject), ifBad, rules.seconds(code, seconds), needed,
                new MachinePart.System(systemName(), axis), axis, runs, spares, subject.machine.fitOut().ownChart()
                        .limit(id, subject.machine.unit()),
                figures.stream().map(f -> f.apply(subject.machine.unit())).toList());
    }

    /** The axis that a step of the whole machine is about, such as the table of a reversal. */
    private Optional<Axis> usual(Described machine) {
        Axis.Role role = Axis.Role.named(systemName());
        return role == Axis.Role.OTHER ? Optional.empty() : machine.fitOut().axis(role);
    }

    /** A machine without the lock, clamp, brake or half-nut has nothing to free. */
    private static boolean isThere(Need.Kind kind, StepSubject subject) {
        return switch (kind) {
            case LOCK_FREE, LOCK_ON -> subject.axis.filter(a -> a.has(Axis.Ability.LOCK)).isPresent();
            case CLAMP_FREE -> subject.axis.filter(a -> a.role() == Axis.Role.ARM && subject.machine.fitOut().has(Feature.ARM_CLAMP)
                    || a.role() == Axis.Role.HEAD && subject.machine.fitOut().has(Feature.HEAD_CLAMP)).isPresent();
            case HALF_NUT_OUT -> subject.machine.fitOut().has(Feature.LEAD_SCREW);
            case BRAKE_OFF -> subject.machine.fitOut().has(Feature.FOOT_BRAKE);
            default -> true;
        };
    }

    private static boolean isOfAxis(Need.Kind kind) {
        return kind == Need.Kind.LOCK_FREE || kind == Need.Kind.LOCK_ON || kind == Need.Kind.OTHER_LOCKS_FREE
                || kind == Need.Kind.CLAMP_FREE
                || kind == Need.Kind.WAY_CLEAR || kind == Need.Kind.ENDS_KNOWN;
    }
}
