package tallledger.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.KitList;
import tallledger.core.measuring.PlateText;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.survey.JudgedBy;
import tallledger.core.survey.Run;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.verdict.ConditionStatement.StatementSentence;

/** What the statement says of the steps: how many were done, what each bad one is, what grade was reached, what is open. */
final class StepSentences {

    private StepSentences() {
    }

    static List<StatementSentence> of(Survey survey) {
        List<StatementSentence> s = new ArrayList<>();
        if (survey.steps().scope() == Scope.SPINDLE_DRIVE && survey.steps().all().stream()
                .allMatch(r -> r.step().recording().driveCheck().isPresent())) {
            return s;
        }
        counts(survey.steps(), s);
        List<StepResult> results = survey.steps().latest().values().stream().filter(r -> r.step().recording().driveCheck().isEmpty())
                .toList();
        if (results.stream().anyMatch(r -> r.step().recording().limit(survey.rules()).isPresent())) {
            s.add(new StatementSentence(Heading.IN_ALL, Reason.of(VerdictReason.STATEMENT_JUDGED_AS, survey.rules().judgedAs()),
                    List.of(JudgedBy.gradeSaid(survey.entries()).entry())));
        }
        results.stream().filter(StepResult::isBad).forEach(r -> s.add(bad(r)));
        results.stream().filter(r -> r.outcome() == Outcome.UNDECIDED).forEach(r -> s.add(new StatementSentence(
                of(r), Reason.of(VerdictReason.STATEMENT_STEP_CLOSE, r.step().name(), r.judgement().because()), List.of(r.entry()))));
        nobodys(survey, results, s);
        good(results, s);
        survey.repairs().forEach(r -> r.part().system()
                .ifPresent(system -> s.add(new StatementSentence(Heading.IN_ALL, Reason.of(VerdictReason.STATEMENT_SYSTEM_REPAIRED,
                        system.words(survey.machine().fitOut()), r.what()), List.of(r.entry())))));
        again(survey.steps(), s);
        survey.steps().passed().forEach((id, why) -> survey.steps().step(id).ifPresent(step -> s.add(new StatementSentence(
                Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_STEP_PASSED, step.name(), why.what()), List.of(why.entry())))));
        open(survey.steps(), s);
        kit(survey, s);
        return s;
    }

    /** What lies between the seller's proof and the buyer's complaint. */
    private static void nobodys(Survey survey, List<StepResult> results, List<StatementSentence> s) {
        List<Integer> close = Stream.concat(results.stream().filter(r -> r.step().recording().limit(survey.rules()).isPresent()
                && r.outcome() == Outcome.UNDECIDED).map(StepResult::entry),
                survey.drive().counting(Outcome.UNDECIDED).stream().filter(r -> r.judgement().isPresent()).map(Run::entry)).sorted()
                .toList();
        if (!close.isEmpty()) {
            s.add(new StatementSentence(Heading.IN_ALL, Reason.of(VerdictReason.STATEMENT_NOBODYS, close.size()), close));
        }
    }

    /** Neither good nor bad: there was nothing to hold it against. */
    private static boolean isRead(StepResult r) {
        return r.outcome() == Outcome.PROVEN && !r.judgement().held();
    }

    private static void counts(StepLedger ledger, List<StatementSentence> s) {
        List<Step> all = ledger.inScope();
        List<StepResult> done = List.copyOf(ledger.latest().values());
        int spared = (int) all.stream().filter(ledger::isSpared).count();
        s.add(new StatementSentence(Heading.IN_ALL, Reason.of(VerdictReason.STATEMENT_STEPS, done.size(), all.size(),
                count(done, Outcome.PROVEN) - count(done.stream().filter(StepSentences::isRead).toList(), Outcome.PROVEN),
                count(done, Outcome.FAILED), count(done, Outcome.UNDECIDED),
                spared, ledger.passed().size(), all.size() - done.size() - spared - ledger.passed().size(),
                (int) done.stream().filter(StepSentences::isRead).count()),
                done.stream()
                        .map(StepResult::entry).sorted().toList()));
    }

    private static int count(List<StepResult> done, Outcome outcome) {
        return (int) done.stream().filter(r -> r.outcome() == outcome).count();
    }

    private static StatementSentence bad(StepResult r) {
        List<Object> said = new ArrayList<>(r.judgement().because());
        if (!r.remark().isEmpty()) {
            said.add(r.remark());
        }
        return new StatementSentence(of(r), said.isEmpty() ? Reason.of(VerdictReason.STATEMENT_STEP_BAD, r.step().name(), r.author())
                : Reason.of(VerdictReason.STATEMENT_STEP_BAD_BECAUSE, r.step().name(), r.author(), said), List.of(r.entry()));
    }

    /** The figure over its length, and the comparison; what more is said stands beside the step. */
    private static final int WITH_ITS_LENGTH = 2;

    private static boolean isMeasured(StepResult r) {
        return r.step().phase() == Phase.ACCURACY && r.step().recording().limitRule().isPresent();
    }

    private static Heading of(StepResult r) {
        return Heading.of(r.step().phase());
    }

    /**
     * What was measured against a limit says its figure, the limit and the grade, a sentence each on the chart; the rest of a phase by
     * grade; what was only looked at, and is as it should be, by name.
     */
    private static void good(List<StepResult> results, List<StatementSentence> s) {
        results.stream().filter(r -> r.outcome() == Outcome.PROVEN && isMeasured(r)).forEach(r -> s.add(new StatementSentence(of(r),
                Reason.of(VerdictReason.STATEMENT_MEASURED, r.step().name(), r.judgement().because().stream().limit(WITH_ITS_LENGTH)
                        .toList()),
                onItsCut(r))));
        for (Phase phase : Phase.values()) {
            List<StepResult> rest = results.stream().filter(r -> r.step().phase() == phase && r.outcome() == Outcome.PROVEN
                    && !isMeasured(r)).toList();
            for (Grade grade : Grade.values()) {
                named(phase, rest.stream().filter(r -> r.judgement().grade().filter(grade::equals).isPresent()).toList(), s,
                        names -> Reason.of(VerdictReason.STATEMENT_GRADE, grade, names));
            }
            named(phase, rest.stream().filter(r -> r.judgement().grade().isEmpty() && !isRead(r)).toList(), s,
                    names -> Reason.of(VerdictReason.STATEMENT_GOOD, names));
            rest.stream().filter(StepSentences::isRead).forEach(r -> s.add(new StatementSentence(of(r),
                    Reason.of(VerdictReason.STATEMENT_READ, r.step().name(), figure(r)), List.of(r.entry()))));
        }
    }

    /** What was read: its words as they were written down, or its figure. */
    private static Object figure(StepResult r) {
        return r.judgement().because().isEmpty()
                ? r.as(PlateText.class).<Object>map(plate -> Reason.of(VerdictReason.STATEMENT_AS_READ, plate.whole())).orElse("")
                : (Object) r.judgement().because();
    }

    private static void named(Phase phase, List<StepResult> some, List<StatementSentence> s, Function<List<Object>, Reason> says) {
        if (!some.isEmpty()) {
            s.add(new StatementSentence(Heading.of(phase), says.apply(some.stream().map(r -> (Object) r.step().name()).toList()),
                    some.stream().map(StepResult::entry).sorted().toList()));
        }
    }

    /** What was measured on a test cut rests on that as well. */
    private static List<Integer> onItsCut(StepResult r) {
        return r.cut().map(cut -> List.of(cut, r.entry())).orElseGet(() -> List.of(r.entry()));
    }

    private static void again(StepLedger ledger, List<StatementSentence> s) {
        List<Object> names = new ArrayList<>();
        ledger.repeats().forEach(id -> ledger.step(id).ifPresent(step -> names.add(step.name())));
        if (!names.isEmpty()) {
            s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_STEPS_AGAIN, names), List.of()));
        }
    }

    private static void open(StepLedger ledger, List<StatementSentence> s) {
        List<Step> open = ledger.open();
        for (Phase phase : Phase.values()) {
            List<Object> names = new ArrayList<>(open.stream().filter(step -> step.phase() == phase).map(Step::name).toList());
            if (!names.isEmpty()) {
                s.add(new StatementSentence(Heading.NOT_TESTED, Reason.of(VerdictReason.STATEMENT_STEPS_OPEN, phase, names), List.of()));
            }
        }
    }

    private static void kit(Survey survey, List<StatementSentence> s) {
        StepLedger ledger = survey.steps();
        if (!ledger.kit().items().isEmpty()) {
            KitList.Sum sum = ledger.kit().sum();
            String missing = String.join(", ", ledger.kit().owed().stream().map(KitItem::name).toList());
            s.add(new StatementSentence(Heading.KIT,
                    Reason.of(missing.isEmpty() ? VerdictReason.STATEMENT_KIT : VerdictReason.STATEMENT_KIT_MISSING,
                            sum.seen(), sum.pieces(), sum.awaited(), sum.unlooked(), missing),
                    ledger.kit().allEntries()));
            ledger.kit().choices().values().forEach(group -> s.add(choice(ledger.kit(), group)));
            List<KitItem> warranted = ledger.kit().items().stream().filter(i -> !i.warranty().isEmpty()).toList();
            warranted.forEach(i -> s.add(new StatementSentence(Heading.KIT, i.isPromised()
                    ? Reason.of(VerdictReason.STATEMENT_KIT_WARRANTY_BY, i.name(), i.warranty(), i.promised())
                    : Reason.of(VerdictReason.STATEMENT_KIT_WARRANTY, i.name(), i.warranty()), entry(ledger.kit(), i))));
        }
        ledger.lift()
                .ifPresent(lift -> s
                        .add(new StatementSentence(Heading.KIT, InUnit.of(lift.what().says(ledger.rules()), survey.machine().unit()),
                                List.of(lift.entry()))));
    }

    /** One of several goes with the machine: which were seen, so that nobody counts on both. */
    private static StatementSentence choice(KitList kit, List<KitItem> group) {
        List<String> seen = group.stream().filter(i -> i.state() == KitItem.State.SEEN).map(KitItem::name).toList();
        String names = String.join(", ", group.stream().map(KitItem::name).toList());
        return new StatementSentence(Heading.KIT, seen.isEmpty() ? Reason.of(VerdictReason.STATEMENT_KIT_CHOICE_NONE, group.size(), names)
                : Reason.of(VerdictReason.STATEMENT_KIT_CHOICE, group.size(), names, String.join(", ", seen)),
                group.stream().flatMap(i -> entry(kit, i).stream()).toList());
    }

    private static List<Integer> entry(KitList kit, KitItem item) {
        return Optional.ofNullable(kit.entries().get(item.name())).stream().toList();
    }
}
