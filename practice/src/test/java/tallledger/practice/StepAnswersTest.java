package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Step;
import tallledger.core.family.StepId;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.survey.Basis;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;

/** Every machine of the shortlist gone through step by step: what is sound proves good, what is hidden is found, nothing else. */
class StepAnswersTest {

    private static final House HOUSE = House.shipped(List.of());

    static Stream<SimulatedMachine> shortlist() {
        return KestrelVale.shortlist().stream();
    }

    @ParameterizedTest
    @MethodSource("shortlist")
    void soundStepsProveGoodAndHiddenFaultsAreFound(SimulatedMachine machine) {
        StepLedger ledger = gone(machine);
        assertThat(ledger.open()).isEmpty();
        List<String> bad = ledger.latest().values().stream().filter(r -> r.outcome() != Outcome.PROVEN).map(r -> r.step().id().written())
                .toList();
        // What is wrong only where the machine is judged as rebuilt, or not at all, is no fault of a workable one.
        List<String> hidden = machine.wrong().keySet().stream()
                .filter(id -> !List.of("quill-rates", "dividing-wheels", "t-slot", "circle-test").contains(id)).toList();
        assertThat(bad).containsAll(hidden);
        bad.stream().filter(id -> !hidden.contains(id))
                .forEach(id -> assertThat(ledger.latest().get(StepId.read(id)).judgement().outcome()).as(id).isEqualTo(Outcome.UNDECIDED));
        assertThat(ledger.steps()).extracting(step -> step.id().written()).containsAll(machine.wrong().keySet()).doesNotHaveDuplicates();
    }

    private static StepLedger gone(SimulatedMachine machine) {
        List<Entry> entries = new ArrayList<>();
        Instant at = Instant.parse("2026-05-09T08:00:00Z");
        add(entries, SurveyEntries.opened(Authorship.of(at, "Q"), 1, "h", HOUSE, "buyer", Scope.WHOLE, Grade.WORKABLE));
        Survey survey = Survey.fold(machine.description(), HOUSE, entries);
        for (Step step : survey.steps().steps()) {
            at = at.plusSeconds(30);
            if (step.recording() instanceof SpindleCheck check) {
                add(entries, SurveyEntries.check(Authorship.of(at, "Q"), basis(machine.description()), HOUSE.rules(), check.check(), true,
                        check.check() == DriveCheck.BRAKE ? "4.1" : "", ""));
                continue;
            }
            survey = survey.grown(entries);
            StepLedger now = survey.steps();
            SimulatedMachine.Answer answer = machine.answer(step, HOUSE.rules(), new Random(entries.size()));
            List<String> confirmed = now.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
            add(entries,
                    SurveyEntries.step(Authorship.of(at, "Q"), now, step, answer.values(), basis(machine.description()), answer.flagged(),
                            confirmed, answer.remark()));
        }
        return Survey.fold(machine.description(), HOUSE, entries).steps();
    }

    private static Basis basis(MachineDescription described) {
        return Basis.of(described.identity().unit(), 1, HOUSE.version());
    }

    private static void add(List<Entry> entries, tallledger.core.ledger.Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? java.util.Optional.empty() : java.util.Optional.of(entries.get(entries.size() - 1)),
                draft));
    }

    @ParameterizedTest
    @MethodSource("shortlist")
    void aRestartingGuardIsTheOneStopUseOfCycles(SimulatedMachine machine) {
        List<StepResult> stops = gone(machine).latest().values().stream().filter(r -> r.judgement().worse().isPresent()).toList();
        assertThat(stops).extracting(r -> r.step().id().written())
                .isEqualTo(machine.description().identity().model().equals("T1") ? List.of("guard") : List.of());
    }
}
