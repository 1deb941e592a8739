package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.coverage.Coverage;
import tallledger.core.coverage.Mark;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.Symptom;
import tallledger.core.evidence.Severity;
import tallledger.core.family.Step;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Grade;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.machine.Claim;
import tallledger.core.measuring.PlateFigure;
import tallledger.core.measuring.PlateText;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.reading.Mass;
import tallledger.core.reading.Power;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyReading;
import tallledger.core.supply.Voltage;
import tallledger.core.survey.HeardSound;
import tallledger.core.survey.MotorPlate;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;
import tallledger.core.verdict.ClaimVerdict.Standing;

/** Claims that no one step tests: "rebuilt", "within 0.01", "all functions", "quiet", "no backlash", a year, what a plate says. */
final class ClaimsOfTheWhole {

    private static final Pattern WEIGHED = Pattern.compile("(?i)\\b(?:weigh|weighed|weighing|scales?|load ?cell|crane"
            + " scale|weighbridge)\\b");
    private static final Pattern HOURS = Pattern.compile("(?i)\\bhours?\\s?:?\\s?(\\d{1,3}(?:[ ,]\\d{3})+|\\d{2,7})\\b"
            + "|(?<![\\w.])(\\d{1,3}(?:[ ,]\\d{3})+|\\d{2,7})\\s?hours\\b");
    /** What reground or scraped ways would have to be: straight, and not worn where the work is. */
    private static final List<String> WAYS = List.of("bed-straight", "bed-twist", "carriage-straight", "tailstock-ways", "table-flat",
            "table-straight", "axis-straight", "bed-by-headstock");

    private ClaimsOfTheWhole() {
    }

    static ClaimVerdict of(Claim claim, Survey survey) {
        return switch (claim.attribute()) {
            case ACCURACY -> within(claim, survey);
            case REBUILT_BY -> rebuilt(claim, survey);
            case NEARLY_ALL_RUN -> functions(claim, survey);
            case NO_BACKLASH -> backlash(claim, survey);
            case CONDITION -> condition(claim, survey);
            case YEAR -> year(claim, survey);
            case WEIGHT -> weight(claim, survey);
            case SUPPLY -> supply(claim, survey);
            case MOTOR_POWER -> power(claim, survey);
            case DRIVE_RATING -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_RATING);
            case HOURS -> hours(claim, survey);
            case WAYS -> work(claim, survey, WAYS);
            case SCREWS -> screws(claim, survey);
            case TAPER -> new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_TAPER), List.of(),
                    ClaimsOfSteps.step(survey, "spindle-taper").or(() -> ClaimsOfSteps.step(survey, "drill-taper")));
            case SERVICED -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_SERVICED);
            case ADMISSION -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_ADMISSION);
            case OTHER -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_WORDS);
            default -> ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED);
        };
    }

    /** How a claim stands on many lines: one outside contradicts it, all within uphold it. */
    private static ClaimVerdict lines(Claim claim, Survey survey, List<Step> lines, Predicate<StepResult> within,
            Predicate<StepResult> outside) {
        List<StepResult> done = lines.stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream()).toList();
        long good = done.stream().filter(within).count();
        long bad = done.stream().filter(outside).count();
        Standing standing = bad > 0 ? Standing.CONTRADICTED
                : !lines.isEmpty() && good == lines.size() ? Standing.UPHELD
                        : Standing.UNTESTED;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_CHART, lines.size(), good, bad, lines.size() - good - bad),
                done.stream().map(StepResult::entry).sorted().toList(),
                lines.stream().filter(s -> !survey.steps().latest().containsKey(s.id())).findFirst().map(Task::of));
    }

    private static List<Step> limited(Survey survey) {
        return survey.steps().inScope().stream().filter(s -> s.recording().limitRule().isPresent()).toList();
    }

    /** Rebuilt is what is within the rebuilt limit on every line that has one. */
    private static ClaimVerdict rebuilt(Claim claim, Survey survey) {
        Rules rebuilt = survey.rules().judgedAs(Grade.REBUILT);
        return lines(claim, survey, limited(survey), r -> !r.flagged() && r.judgedBy(rebuilt).outcome() == Outcome.PROVEN, r -> r.flagged()
                || r.judgedBy(rebuilt).outcome() == Outcome.FAILED);
    }

    /** No deviation that was measured may exceed the figure by more than its uncertainty; what is no length does not count. */
    private static ClaimVerdict within(Claim claim, Survey survey) {
        BigDecimal claimed = TypedLength.parse(claim.value(), survey.machine().unit()).mm();
        List<Step> lengths = limited(survey).stream()
                .filter(s -> s.recording().limit(survey.rules()).filter(l -> l.unit() == Unit.MILLIMETRES).isPresent()).toList();
        return lines(claim, survey, lengths,
                r -> deviation(r).filter(q -> q.value().abs().doubleValue() + q.expanded() <= claimed.doubleValue()).isPresent(),
                r -> deviation(r).filter(q -> q.value().abs().doubleValue() - q.expanded() > claimed.doubleValue()).isPresent());
    }

    private static Optional<Quantity> deviation(StepResult r) {
        return r.judgement().figure().map(Figure::overStated);
    }

    /** Everything that turns or travels under power, speeds too; "nearly all" is short where something fails, not contradicted. */
    private static ClaimVerdict functions(Claim claim, Survey survey) {
        List<Step> steps = survey.steps().inScope().stream().filter(Step::runs).toList();
        List<StepResult> done = steps.stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream()).toList();
        Coverage.Counts speeds = survey.drive().coverage().counts();
        long good = done.stream().filter(r -> r.outcome() == Outcome.PROVEN).count() + steps.stream().filter(survey.steps()::isSpared)
                .count() + speeds.proven() + speeds.inferred();
        long bad = done.stream().filter(StepResult::isBad).count() + speeds.failed();
        int all = steps.size() + speeds.all();
        boolean nearly = claim.value().toLowerCase(Locale.ROOT).startsWith("nearly");
        Standing standing = bad > 0 ? nearly ? Standing.SHORT : Standing.CONTRADICTED : good == all ? Standing.UPHELD : Standing.UNTESTED;
        List<Integer> entries = Stream.concat(done.stream().map(StepResult::entry), survey.drive().counting().stream().map(Run::entry))
                .sorted().distinct().toList();
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_FUNCTIONS, all, good, bad, all - good - bad), entries,
                survey.drive().coverage().marked(Mark.OPEN).stream().findFirst().map(s -> Task.of(s.routes().get(0)))
                        .or(() -> survey.steps().open().stream().filter(Step::runs).findFirst().map(Task::of)));
    }

    /** Of one axis or of all: within rebuilt on each is none to speak of; outside workable on one is play. */
    private static ClaimVerdict backlash(Claim claim, Survey survey) {
        Rules rebuilt = survey.rules().judgedAs(Grade.REBUILT);
        List<Step> lines = survey.steps().inScope().stream()
                .filter(s -> s.code().equals("backlash") && (claim.axis().isEmpty() || s.axis().equals(claim.axis()))).toList();
        List<StepResult> done = lines.stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream()).toList();
        List<Object> because = new ArrayList<>(done.stream()
                .map(r -> (Object) Reason.of(VerdictReason.CLAIM_STEP, r.step().name(), r.because())).toList());
        List<Object> open = new ArrayList<>(lines.stream().filter(s -> !survey.steps().latest().containsKey(s.id())).map(Step::name)
                .toList());
        if (!open.isEmpty()) {
            because.add(Reason.of(VerdictReason.CLAIM_BACKLASH_OPEN, open));
        }
        Standing standing = done.stream().anyMatch(StepResult::isBad) ? Standing.CONTRADICTED
                : done.stream()
                        .anyMatch(r -> r.judgedBy(rebuilt).outcome() == Outcome.FAILED) ? Standing.SHORT
                                : !done.isEmpty() && open.isEmpty()
                                        && done.stream().allMatch(r -> r.judgedBy(rebuilt).outcome() == Outcome.PROVEN)
                                                ? Standing.UPHELD
                                                : Standing.UNTESTED;
        Optional<Task> next = lines.stream().filter(s -> !survey.steps().latest().containsKey(s.id())).findFirst().map(Task::of);
        return because.isEmpty() ? ClaimVerdict.untested(claim, VerdictReason.CLAIM_NOT_COVERED)
                : new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_BACKLASH, because),
                        done.stream().map(StepResult::entry).sorted().toList(), next);
    }

    /** How many speeds were listened to or recorded so. */
    private static long speeds(Survey survey, List<Run> runs, List<HeardSound> recorded) {
        return Stream.concat(runs.stream().map(Run::route), recorded.stream().map(HeardSound::route))
                .map(route -> survey.drive().table().speedOf(route)).distinct().count();
    }

    /**
     * "Quiet" needs a note of noise, or a recording, at every speed. No other such word is borne out by anything; what stops
     * use contradicts it.
     */
    private static ClaimVerdict condition(Claim claim, Survey survey) {
        if (claim.value().toLowerCase(Locale.ROOT).contains("quiet")) {
            List<Run> runs = List.copyOf(survey.drive().counting());
            List<Run> heard = runs.stream().filter(r -> r.record().symptoms().stream().anyMatch(Symptom::isNoise)).toList();
            List<Run> quiet = runs.stream().filter(r -> r.record().quiet()).toList();
            List<HeardSound> recorded = HeardSound.of(survey.drive());
            Map<Boolean, List<HeardSound>> judged = recorded.stream().filter(h -> h.isQuiet(recorded, survey.drive()).isPresent())
                    .collect(Collectors.partitioningBy(h -> h.isQuiet(recorded, survey.drive()).orElseThrow()));
            int all = survey.drive().coverage().counts().all();
            long noisy = speeds(survey, heard, judged.get(false));
            long speeds = speeds(survey, quiet, judged.get(true));
            Standing standing = noisy > 0 ? Standing.CONTRADICTED : speeds == all && all > 0 ? Standing.UPHELD : Standing.UNTESTED;
            return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_QUIET, speeds, noisy, all,
                    judged.get(true).size() + judged.get(false).size()),
                    Stream.concat(Stream.concat(heard.stream(), quiet.stream()).map(Run::entry),
                            judged.values().stream().flatMap(List::stream).flatMap(h -> h.entries(recorded, survey.drive()).stream()))
                            .sorted().distinct().toList(),
                    survey.drive().coverage().marked(Mark.OPEN).stream().findFirst().map(s -> Task.of(s.routes().get(0))));
        }
        List<Finding> findings = Finding.of(survey).stream().filter(f -> f.severity() != Severity.NOTE).toList();
        List<Finding> bad = findings.stream().filter(f -> f.severity() == Severity.STOP_USE).toList();
        return bad.isEmpty() ? new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_CONDITION, findings.size()),
                entries(findings), Optional.empty())
                : new ClaimVerdict(claim, Standing.CONTRADICTED, Reason.of(VerdictReason.CLAIM_CONDITION_BAD, bad.size()), entries(bad),
                        Optional.empty());
    }

    private static List<Integer> entries(List<Finding> findings) {
        return findings.stream().flatMap(f -> f.entries().stream()).sorted().distinct().toList();
    }

    /** Against the year that stands with the serial number as read; a machine's description is only what somebody said. */
    private static ClaimVerdict year(Claim claim, Survey survey) {
        Optional<StepResult> serial = survey.steps().latest().values().stream().filter(r -> r.step().code().equals("serial")).findFirst();
        Optional<String> read = serial.flatMap(r -> r.as(PlateText.class))
                .flatMap(plate -> plate.figure().flatMap(ClaimsOfTheWhole::year).or(() -> year(plate.text())));
        Optional<String> claimed = year(claim.value());
        if (claimed.isEmpty() || read.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_YEAR_OPEN), List.of(),
                    ClaimsOfSteps.step(survey, "serial"));
        }
        return new ClaimVerdict(claim, claimed.equals(read) ? Standing.UPHELD : Standing.CONTRADICTED,
                Reason.of(VerdictReason.CLAIM_YEAR, read.get(), serial.orElseThrow().step().name()), List.of(serial.orElseThrow().entry()),
                Optional.empty());
    }

    private static Optional<String> year(String text) {
        Matcher m = PlateFigure.A_YEAR.matcher(text);
        return m.find() ? Optional.of(m.group()) : Optional.empty();
    }

    /** Only a weighing weighs: what somebody says for the lift is another word. */
    private static ClaimVerdict weight(Claim claim, Survey survey) {
        Optional<NotedEntry<Lift>> lift = survey.steps().lift();
        if (lift.isEmpty() || !WEIGHED.matcher(lift.get().what().saidBy()).find()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, lift.map(l -> Reason.of(VerdictReason.CLAIM_WEIGHED_WORD,
                    l.what().machine().typed(), l.what().saidBy())).orElse(Reason.of(VerdictReason.CLAIM_WEIGHED_NOT)), List.of(),
                    ClaimsOfSteps.step(survey, "lift"));
        }
        Mass claimed = Mass.parse(claim.value());
        Mass weighed = lift.get().what().machine();
        BigDecimal near = survey.rules().share(Rule.CLAIM_NEAR);
        boolean heavier = weighed.low().compareTo(claimed.high().multiply(BigDecimal.ONE.add(near))) > 0;
        boolean lighter = weighed.high().compareTo(claimed.low().multiply(BigDecimal.ONE.subtract(near))) < 0;
        return new ClaimVerdict(claim, heavier || lighter ? Standing.CONTRADICTED : Standing.UPHELD,
                Reason.of(VerdictReason.CLAIM_WEIGHED, weighed.typed(), lift.get().what().saidBy()), List.of(lift.get().entry()),
                Optional.empty());
    }

    /** By what was measured between the phases, within the house's tolerance of one of the voltages claimed. */
    private static ClaimVerdict supply(Claim claim, Survey survey) {
        Optional<StepResult> measured = survey.steps().latest().values().stream().filter(r -> r.as(SupplyReading.class).isPresent())
                .findFirst();
        if (measured.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_SUPPLY_OPEN), List.of(),
                    ClaimsOfSteps.step(survey, "supply"));
        }
        List<BigDecimal> volts = measured.get().as(SupplyReading.class).orElseThrow().volts();
        BigDecimal off = survey.rules().share(Rule.VOLTAGE_TOLERANCE);
        boolean fits = Voltage.parse(claim.value()).ways().stream()
                .anyMatch(way -> volts.stream().allMatch(v -> v.compareTo(way.low().multiply(BigDecimal.ONE.subtract(off))) >= 0
                        && v.compareTo(way.high().multiply(BigDecimal.ONE.add(off))) <= 0));
        return new ClaimVerdict(claim, fits ? Standing.UPHELD : Standing.CONTRADICTED, Reason.of(VerdictReason.CLAIM_SUPPLY,
                volts.stream().map(v -> (Object) v).toList()), List.of(measured.get().entry()), Optional.empty());
    }

    /** By the motor's plate as it was read, figures in the unit that was claimed. */
    private static ClaimVerdict power(Claim claim, Survey survey) {
        Optional<MotorPlate> plate = MotorPlate.of(survey.steps());
        if (plate.isEmpty()) {
            return unread(claim, survey);
        }
        BigDecimal claimed = Power.parse(claim.value()).kilowatts();
        BigDecimal over = plate.get().power().kilowatts().subtract(claimed);
        BigDecimal near = claimed.multiply(survey.rules().share(Rule.CLAIM_NEAR));
        Standing standing = over.abs().compareTo(near) <= 0 ? Standing.UPHELD : over.signum() < 0 ? Standing.SHORT : Standing.BETTER;
        return new ClaimVerdict(claim, standing, Reason.of(VerdictReason.CLAIM_PLATE_SAYS, plate.get().read()),
                List.of(plate.get().entry()), Optional.empty());
    }

    /** By the hours that somebody read off the control or its counter and wrote down there. */
    private static ClaimVerdict hours(Claim claim, Survey survey) {
        Optional<StepResult> read = survey.steps().latest().values().stream()
                .filter(r -> HOURS.matcher(r.remark()).find()).reduce((a, b) -> b);
        if (read.isEmpty()) {
            return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_HOURS_OPEN), List.of(),
                    ClaimsOfSteps.step(survey, "control-boots"));
        }
        Matcher m = HOURS.matcher(read.get().remark());
        m.find();
        BigDecimal counted = new BigDecimal((m.group(1) == null ? m.group(2) : m.group(1)).replaceAll("[ ,]", ""));
        BigDecimal claimed = TypedNumber.parsePositive(claim.value().replaceAll("(?i)\\s*(hours?|h)$", "")).value();
        BigDecimal most = claimed.multiply(BigDecimal.ONE.add(survey.rules().share(Rule.CLAIM_NEAR)));
        return new ClaimVerdict(claim, counted.compareTo(most) > 0 ? Standing.CONTRADICTED : Standing.UPHELD,
                Reason.of(VerdictReason.CLAIM_HOURS, counted), List.of(read.get().entry()), Optional.empty());
    }

    /** "Reground", "new screws": contradicted by what such work would have to show and does not, never upheld by anything short of it. */
    private static ClaimVerdict work(Claim claim, Survey survey, List<String> codes) {
        List<StepResult> done = survey.steps().latest().values().stream().filter(r -> codes.contains(r.step().code())).toList();
        List<StepResult> bad = done.stream().filter(StepResult::isBad).toList();
        Optional<Task> next = survey.steps().inScope().stream().filter(s -> codes.contains(s.code())
                && !survey.steps().latest().containsKey(s.id())).findFirst().map(Task::of);
        return new ClaimVerdict(claim, bad.isEmpty() ? Standing.UNTESTED : Standing.CONTRADICTED, bad.isEmpty()
                ? Reason.of(VerdictReason.CLAIM_WORK, done.size())
                : Reason.of(VerdictReason.CLAIM_TIED, bad.stream().map(r -> (Object) Reason.of(VerdictReason.CLAIM_STEP, r.step().name(),
                        r.because().isEmpty() ? List.of(r.outcome()) : r.because())).toList()),
                (bad.isEmpty() ? done : bad).stream().map(StepResult::entry).sorted().toList(), next);
    }

    /** A new screw has no wear along it. */
    private static ClaimVerdict screws(Claim claim, Survey survey) {
        List<StepResult> worn = survey.steps().latest().values().stream().filter(r -> r.as(ScrewBacklash.LostMotion.class)
                .filter(l -> l.backlash().isWorn(survey.rules())).isPresent()).toList();
        return worn.isEmpty() ? work(claim, survey, List.of("lead-screw-wear"))
                : new ClaimVerdict(claim, Standing.CONTRADICTED,
                        Reason.of(VerdictReason.CLAIM_TIED, worn.stream().map(r -> (Object) Reason.of(
                                VerdictReason.CLAIM_STEP, r.step().name(), r.because())).toList()),
                        worn.stream().map(StepResult::entry).sorted().toList(), Optional.empty());
    }

    private static ClaimVerdict unread(Claim claim, Survey survey) {
        return new ClaimVerdict(claim, Standing.UNTESTED, Reason.of(VerdictReason.CLAIM_PLATE_UNREAD), List.of(),
                ClaimsOfSteps.step(survey, "motor-plate"));
    }
}
