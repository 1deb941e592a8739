package tallledger.web.sealed;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Limits;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.InUnit;
import tallledger.core.survey.Films;
import tallledger.core.survey.Run;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;
import tallledger.web.film.WebVtt;
import tallledger.web.housebook.SheetCell;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Figures;
import tallledger.web.words.Words;

/** A survey's readings, steps, kit and films as tables. A cell that a spreadsheet would take for a formula is made plain text. */
@Component
class Tables {

    private static final MathContext DIGITS = new MathContext(6);

    private final Words words;

    Tables(Words words) {
        this.words = words;
    }

    Map<String, String> of(StoredSurvey survey) {
        Map<String, String> tables = new LinkedHashMap<>();
        tables.put("readings.csv", readings(survey));
        tables.put("steps.csv", steps(survey));
        tables.put("kit.csv", kit(survey));
        Films films = films(survey);
        if (!films.films().isEmpty()) {
            tables.put("films.csv", chapters(survey, films));
        }
        return tables;
    }

    private static Films films(StoredSurvey survey) {
        return Films.of(survey.entries(), survey.core().struck().keySet());
    }

    private String readings(StoredSurvey survey) {
        return csv(List.of("entry", "time", "author", "position", "plate rpm", "read rpm", "off %", "symptoms", "quiet", "outcome",
                "remark"),
                survey.folded().counting().stream().map((Run r) -> List.of(
                        String.valueOf(r.entry()), r.at().toString(), r.author(), survey.folded().machine().train().name(r.route()),
                        r.nominal().map(Figures::plain).orElse(""),
                        r.record().reading().map(read -> Figures.plain(read.rpm())).orElse(""),
                        r.deviation().map(Figures::percent).orElse(""),
                        r.record().symptoms().stream().map(words::of).collect(Collectors.joining(", ")), r.record().quiet() ? "noted" : "",
                        words.of(r.outcome()), r.remark())).toList());
    }

    private String steps(StoredSurvey survey) {
        return csv(List.of("entry", "time", "author", "step", "phase", "typed", "because", "outcome", "grade", "remark", "figure", "U",
                "unit", "over", "limit", "limit of"),
                survey.steps().steps().stream()
                        .flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream())
                        .map((StepResult r) -> Stream.concat(Stream.of(String.valueOf(r.entry()), r.at().toString(), r.author(),
                                words.say(r.step().name()), words.of(r.step().phase()), typed(r),
                                r.because().stream().map(words::say).collect(Collectors.joining(" ")), words.of(r.outcome()),
                                r.grade().map(words::of).orElse(""), r.remark()), figure(r, survey.core().machine().unit())).toList())
                        .toList());
    }

    /** What was measured, in the unit of the machine, as figures that a sheet goes on reckoning with. */
    private Stream<String> figure(StepResult r, LengthUnit machine) {
        // Of a record without a result, such as a supply, the first of what was seen.
        return r.judgement().figure()
                .or(() -> r.judgement().figures().stream().filter(f -> f.name() != Figure.Name.AT_MOST).findFirst()).map(f -> {
                    Unit unit = f.unit().shownIn(machine, f.measured().value().abs().max(BigDecimal.valueOf(f.measured().expanded())));
                    return Stream.of(in(unit, f.unit(), f.measured().value()),
                            f.measured().expanded() == 0 ? "" : in(unit, f.unit(), BigDecimal.valueOf(f.measured().expanded())),
                            unit.symbol(), f.per().map(p -> words.in(machine, p.over().value(), p.over().unit())).orElse(""),
                            f.against().map(a -> limit(a.limits(), unit)).orElse(""),
                            f.against().map(a -> words.say(InUnit.of(a.limits().source(), machine))).orElse(""));
                }).orElseGet(() -> Stream.generate(() -> "").limit(6));
    }

    private static String in(Unit shown, Unit canonical, BigDecimal value) {
        return Figures.plain(canonical.to(shown, value).round(DIGITS).stripTrailingZeros());
    }

    private static String limit(Limits limits, Unit shown) {
        if (limits instanceof Limit l && l.isEndless()) {
            return "from " + in(shown, l.unit(), l.lower());
        }
        return limits instanceof GradedLimit g ? in(shown, g.unit(), g.limit())
                : limits instanceof Limit l && !l.isOneSided() ? in(shown, l.unit(), l.lower()) + " to " + in(shown, l.unit(), l.upper())
                        : in(shown, limits.unit(), limits.most());
    }

    private static String typed(StepResult r) {
        return new TreeMap<>(r.values().typed()).entrySet().stream().filter(e -> !e.getValue().isEmpty())
                .map(e -> e.getKey() + " " + e.getValue()).collect(Collectors.joining("; "));
    }

    private String kit(StoredSurvey survey) {
        var kit = survey.steps().kit();
        return csv(List.of("entry", "piece", "state", "promised by", "one of", "to replace", "due", "remark", "how many", "warranty"),
                kit.items().stream().map(i -> List.of(String.valueOf(kit.entries().get(i.name())), i.name(), words.of(i.state()),
                        i.promised(), i.choice(), i.cost().map(Figures::plain).orElse(""), i.until().map(Object::toString).orElse(""),
                        i.note(),
                        i.count().map(String::valueOf).orElse(""), i.warranty()))
                        .toList());
    }

    private String chapters(StoredSurvey survey, Films films) {
        return csv(List.of("film", "from", "until", "entries", "what"),
                films.films().stream().flatMap(f -> films.chapters(f.number(), survey.entries()).stream())
                        .map(c -> List.of(String.valueOf(c.film()), clock(c.from()),
                                clock(c.until()),
                                c.entries().stream().map(e -> String.valueOf(e.sequence())).collect(Collectors.joining(" ")),
                                what(survey, c)))
                        .toList());
    }

    /** WebVTT (W3C): what was written when, beside the film. */
    String chapters(StoredSurvey survey, Films films, int film) {
        WebVtt vtt = new WebVtt();
        films.chapters(film, survey.entries()).forEach(c -> vtt.cue(BigDecimal.valueOf(c.from().toSeconds()),
                BigDecimal.valueOf(c.until().toSeconds()), what(survey, c)));
        return vtt.written();
    }

    private String what(StoredSurvey survey, Films.Chapter chapter) {
        return chapter.entries().stream().map(e -> e.sequence() + " " + said(survey, e)).collect(Collectors.joining("; "));
    }

    private String said(StoredSurvey survey, Entry e) {
        return survey.core().task(e.step()).map(t -> words.name(t, survey.folded().machine().train()))
                .orElseGet(() -> words.kind(e.kind()) + (e.step().isEmpty() ? "" : " " + e.step()));
    }

    private static String clock(Duration d) {
        return WebVtt.clock(BigDecimal.valueOf(d.toSeconds()));
    }

    private static String csv(List<String> header, List<List<String>> rows) {
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(csv, CSVFormat.DEFAULT.builder().setHeader(header.toArray(String[]::new)).get())) {
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(SheetCell::written).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }
}
