package tallledger.web.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.house.House;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.AskBack;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.survey.Basis;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Survey;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.KestrelVale;
import tallledger.web.App;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.Words;

/** Every form of every step of every family as an inch machine has it, and every refusal of what is typed there: nothing is metric. */
class InchFormsTest {

    private static final Pattern METRIC = Pattern.compile("(?<![\\w.])(?:mm|µm|mm/rev|mm/min|m/min|kg|kW|kN|N·m|°C)\\b|\\d\\s?K\\b|"
            + "\\bper metre\\b");
    private static final List<String> TYPED = List.of("abc", "-5", "0", "999999999", "1e9", "7 bananas", "3 4 5 6 7 8 9", "2; 3; x");

    private final Words words = App.demo().bean(Words.class);

    private Survey survey(Family family) {
        MachineDescription d = KestrelVale.shortlist().stream().map(m -> m.description()).filter(m -> m.family() == family).findFirst()
                .orElseThrow();
        Identity i = d.identity();
        Identity inch = new Identity("Inch " + i.name(), i.maker(), i.model(), family, i.serial(), i.year(), i.seenAt(), i.offeredBy(),
                LengthUnit.INCH);
        SurveyBooks surveyBooks = App.demo().bean(SurveyBooks.class);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        // A feed plate is as its maker wrote it, and this one is metric.
        MachineDescription description = new MachineDescription(inch, List.of(), d.train(), d.plate(), d.motor(), Optional.empty(),
                d.threads(), d.fitOut());
        long survey = surveyBooks.open(library.machine(machineBooks.add(description, "Q. Tester", Submission.fresh(0))), "Q. Tester",
                "buyer", Scope.WHOLE, Submission.fresh(0));
        return library.survey(survey).core();
    }

    /** The usual indicator shows a thousandth of a millimetre: about 0.04 thou, and nobody’s dial has 0.0394. */
    @Test
    void aMetricGaugeIsSaidToTheDigitItShows() {
        House house = House.shipped(List.of());
        assertThat(GaugeChoice.of(Rule.INDICATOR, house, house.rules(), LengthUnit.INCH, LocalDate.EPOCH, words)).first()
                .satisfies(usual -> assertThat(usual.name().replace('\u00a0', ' ')).endsWith(", 0.04 thou"));
        assertThat(GaugeChoice.of(Rule.INDICATOR, house, house.rules(), LengthUnit.MM, LocalDate.EPOCH, words)).first()
                .satisfies(usual -> assertThat(usual.name().replace('\u00a0', ' ')).endsWith(", 0.001 mm"));
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void nothingIsMetric(Family family) {
        Survey survey = survey(family);
        List<String> metric = new ArrayList<>();
        for (Step step : survey.steps().inScope().stream().filter(s -> s.recording().driveCheck().isEmpty()).toList()) {
            shown(survey, step).forEach(text -> note(step, text, metric));
            for (RecordField field : step.recording().fields()) {
                for (String typed : TYPED) {
                    refusal(survey.steps(), step, field, typed).ifPresent(text -> note(step, field.name() + " = " + typed + ": " + text,
                            metric));
                }
            }
        }
        assertThat(metric).isEmpty();
    }

    private static void note(Step step, String text, List<String> metric) {
        if (METRIC.matcher(text.replaceAll("“[^”]*”", "")).find()) {
            metric.add(step.id().written() + ": " + text);
        }
    }

    /** All that stands on its form. */
    private List<String> shown(Survey survey, Step step) {
        Map<String, String> typed = new HashMap<>();
        step.recording().fields().forEach(f -> typed.put(f.name(), step.recording().start(f, survey.rules())));
        TaskView view = TaskView.of(survey, step, typed, words);
        Stream<String> fields = view.form().fields().stream().flatMap(f -> Stream.concat(Stream.of(words.say("field." + f.word()) + ", "
                + f.unit().in(LengthUnit.INCH), typed.get(f.name()),
                f.input() == InputKind.SERIES
                        || f.input() == InputKind.LONG_TEXT ? words.say("hint." + f.name()) : ""),
                f.choices().stream().map(words::of)));
        return Stream.concat(fields, Stream.concat(Stream.of(view.name(), view.task(), view.look(), view.margin().limit(),
                view.margin().promised(), view.margin().worth()), view.asked().stream().map(TaskView.NeedLine::text))).toList();
    }

    private Optional<String> refusal(StepLedger ledger, Step step, RecordField field, String typed) {
        Map<String, String> values = new HashMap<>();
        step.recording().fields().forEach(f -> values.put(f.name(), step.recording().start(f, ledger.rules())));
        values.put(field.name(), typed);
        Authorship who = Authorship.of(Instant.now(), "Q. Tester");
        List<String> confirmed = ledger.asked(step).stream().map(a -> a.need().written()).toList();
        try {
            Optional<AskBack> asked = SurveyEntries.askBack(who, ledger, step, values, Basis.of(LengthUnit.INCH, 1, 1), false);
            SurveyEntries.step(who, ledger, step, values, Basis.of(LengthUnit.INCH, 1, 1), false, confirmed, "");
            return asked.map(a -> Stream.concat(Stream.of(a.asks()), a.meanings().stream().map(AskBack.Meaning::says)).map(words::say)
                    .collect(Collectors.joining("; ")));
        } catch (Refused refused) {
            return Optional.of(words.say(refused.reason()));
        }
    }
}
