package tallledger.web.paper;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.family.Step;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.survey.Paper;
import tallledger.core.survey.Run;
import tallledger.core.survey.Survey;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.accuracy.AccuracyView;
import tallledger.web.runsheet.RecordingViews;
import tallledger.web.words.Words;

/**
 * One line of the sheet on paper.
 *
 * @param what  to do
 * @param asks  what is read, with its unit; of several readings all, in the order they are typed
 * @param limit the figure is held to, or what it is judged by
 */
public record PrintedStep(int number, String name, String what, String asks, String limit) {

    static PrintedStep of(Survey survey, Paper.PaperLine line, Words words) {
        String name = words.name(line.task(), survey.machine().train());
        return line.task().route().map(route -> {
            if (survey.machine().train().isSweep(route)) {
                return new PrintedStep(line.number(), name, "", "", words.say("paper.by-eye"));
            }
            SpeedRead recording = Run.recording(survey.drive().table(), route);
            Optional<String> nominal = survey.drive().table().nominal(route).map(n -> words.say("figure", n) + " rpm");
            return new PrintedStep(line.number(), name, nominal.orElse(""), Unit.RPM.symbol(), recording.about(survey.rules())
                    .map(l -> words.say("page.between", l.lower(), l.upper(), Unit.RPM.symbol())).orElse(words.say("paper.unjudged")));
        }).orElseGet(() -> of(survey, line.number(), name, line.task().step().orElseThrow(), words));
    }

    private static PrintedStep of(Survey survey, int number, String name, Step step, Words words) {
        LengthUnit unit = survey.machine().unit();
        String what = step.recording().driveCheck().isEmpty() ? words.say(step.says("do")) : "";
        String asks = Paper.readings(step).stream().map(f -> {
            String in = f.unit().in(unit);
            return words.say("field." + f.word()) + (in.isEmpty() ? "" : ", " + in);
        }).collect(Collectors.joining("; "));
        String limit = step.recording().limit(step.judgedBy(survey.rules()))
                .map(l -> words.in(unit, l.workable(), l.unit()) + AccuracyView.per(step, survey.rules())
                        .map((BigDecimal p) -> words.say("page.per", words.in(unit, p, Unit.MILLIMETRES))).orElse(""))
                .or(() -> Optional.of(step.recording().accept(new RecordingViews(Map.of(), unit, survey.rules(), words)).promised())
                        .filter(promised -> !promised.isEmpty()))
                .orElseGet(() -> words.say(asks.isEmpty() ? "paper.by-eye" : "paper.unjudged"));
        return new PrintedStep(number, name, what, asks, limit);
    }

    /** In a line beside the number typed. */
    String said(Words words) {
        return words.say("paper.said", name, asks.isEmpty() ? 0 : 1, asks, limit);
    }
}
