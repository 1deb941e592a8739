package tallledger.web.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.evidence.DriveCheck;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.price.Background;
import tallledger.core.price.Offer;
import tallledger.core.price.Stakes;
import tallledger.core.survey.Basis;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.verdict.Money;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.housebook.ChecksTable;
import tallledger.web.housebook.RepairsTable;

/** A sound machine that is wholly gone through is offered most of its price, of every family, by the shipped table of repairs. */
class WhollyTestedTest {

    private static final House HOUSE = House.shipped(ChecksTable.shipped(), RepairsTable.shipped());

    static Stream<SimulatedMachine> sound() {
        return KestrelVale.shortlist().stream().map(m -> new SimulatedMachine(m.description(), Map.of(), m.motorFactor(), m.scatter(),
                List.of(), Map.of()));
    }

    @ParameterizedTest
    @MethodSource("sound")
    void itIsOfferedMostOfItsPrice(SimulatedMachine machine) {
        Survey survey = gone(machine);
        Offer offer = Money.of(survey, Money.WhatIf.NOTHING).offer().orElseThrow();
        assertThat(survey.steps().open()).isEmpty();
        assertThat(offer.onFloor()).isFalse();
        assertThat(offer.offer() / offer.start()).isGreaterThanOrEqualTo(0.85);
    }

    private static Survey gone(SimulatedMachine machine) {
        MachineDescription description = machine.description();
        List<Entry> entries = new ArrayList<>();
        Instant at = Instant.parse("2026-05-09T08:00:00Z");
        add(entries, SurveyEntries.opened(Authorship.of(at, "Q"), 1, "h", HOUSE, "buyer", Scope.WHOLE, Grade.WORKABLE));
        add(entries, SurveyEntries.priced(Authorship.of(at, "Q"), Stakes.typed(asked(description.identity().family()), "", "£",
                Background.IN_DAILY_USE.name())));
        Survey survey = Survey.fold(description, HOUSE, entries);
        for (Step step : survey.steps().steps()) {
            at = at.plusSeconds(30);
            if (step.recording() instanceof SpindleCheck check) {
                add(entries, SurveyEntries.check(Authorship.of(at, "Q"), basis(description), HOUSE.rules(), check.check(), true,
                        check.check() == DriveCheck.BRAKE ? "4.1" : "", ""));
                continue;
            }
            survey = survey.grown(entries);
            StepLedger now = survey.steps();
            SimulatedMachine.Answer answer = machine.answer(step, HOUSE.rules(), new Random(entries.size()));
            List<String> confirmed = now.asked(step).stream().filter(StepLedger.AskedNeed::changed).map(a -> a.need().written()).toList();
            add(entries,
                    SurveyEntries.step(Authorship.of(at, "Q"), now, step, answer.values(), basis(description), answer.flagged(), confirmed,
                            answer.remark()));
        }
        Random random = new Random(7);
        for (var speed : description.speeds().speeds()) {
            at = at.plusSeconds(30);
            survey = survey.grown(entries);
            add(entries, SurveyEntries.run(Authorship.of(at, "Q"), basis(description), survey.drive(),
                    machine.run(speed.routes().get(0), random)));
        }
        return Survey.fold(description, HOUSE, entries);
    }

    /** A low price for each kind, so that no repair is small beside it. */
    private static String asked(Family family) {
        return family == Family.PEDESTAL_DRILL ? "500" : "2000";
    }

    private static Basis basis(MachineDescription described) {
        return Basis.of(described.identity().unit(), 1, HOUSE.version());
    }

    private static void add(List<Entry> entries, Draft draft) {
        entries.add(Entry.following(entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1)), draft));
    }
}
