package tallledger.web.threads;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.motion.ChangeWheels;
import tallledger.core.motion.GearChart;
import tallledger.core.motion.UnevenWheel;
import tallledger.core.motion.WheelSet;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reading.TypedRatio;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.web.cache.Memo;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.words.WebReason;

/** Change wheels and threads: what the chart promises, what the wheels on hand cut, what to make or buy, a swapped pair. */
@Controller
class ThreadsController {

    private static final int MOST_TEETH = 400;
    /** So many answers are kept: what to buy takes a search, and the same page is looked at again and again. */
    private static final int MOST_KEPT = 32;

    private final SurveyLibrary library;
    private final Memo<ThreadQuestion, ChangeWheels> results = new Memo<>(MOST_KEPT, a -> ChangeWheels.of(a.chart, a.wheels));

    /** A chart and the wheels there are. */
    private record ThreadQuestion(GearChart chart, WheelSet wheels) {
    }

    ThreadsController(SurveyLibrary library) {
        this.library = library;
    }

    /** Nothing is written here: wheels typed are a what-if, those counted stand in the survey. */
    @GetMapping("/surveys/{id}/threads")
    String show(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, Model model) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<StepResult> counted = survey.steps().latest().values().stream().filter(r -> r.as(WheelSet.class).isPresent()).findFirst();
        if (!typed.isSent("wheels")) {
            counted.ifPresent(r -> typed.set("wheels", r.values().text("wheels")));
        }
        var machine = survey.folded().machine();
        Optional<GearChart> chart = machine.fitOut().chart().map(c -> c.parse(machine.identity().unit()));
        Optional<WheelSet> wheels = typed.has("wheels") ? typed.attempt("wheels", () -> WheelSet.parse(typed.get("wheels")))
                : Optional.empty();
        model.addAttribute("survey", survey);
        model.addAttribute("typed", typed);
        model.addAttribute("unit", machine.identity().unit());
        model.addAttribute("chart", chart.orElse(null));
        model.addAttribute("counted", counted.orElse(null));
        model.addAttribute("result", chart.flatMap(c -> wheels.map(w -> results.of(new ThreadQuestion(c, w)))).orElse(null));
        model.addAttribute("swapped", typed.isSent("driver") ? swapped(typed, wheels, chart) : List.of());
        model.addAttribute("uneven", typed.isSent("uneven") ? uneven(typed, chart, machine.identity().unit()) : List.of());
        return "threads/threads";
    }

    /** What a wheel with a thick and a thin tooth does; the screw's pitch is the chart's. */
    private static List<Reason> uneven(FormInput typed, Optional<GearChart> chart, LengthUnit unit) {
        Optional<Integer> teeth = typed.attempt("uneven", () -> teeth(typed.get("uneven")));
        Optional<BigDecimal> module = typed.attempt("module", () -> module(typed.get("module"), unit));
        Optional<BigDecimal> thick = typed.attempt("thick", () -> length(typed.get("thick"), unit));
        Optional<BigDecimal> thin = typed.attempt("thin", () -> length(typed.get("thin"), unit));
        Optional<BigDecimal> turns = typed.attempt("turns", () -> typed.has("turns") ? TypedRatio.parse(typed.get("turns"))
                : BigDecimal.ONE);
        if (chart.isEmpty() || !List.of(teeth, module, thick, thin, turns).stream().allMatch(Optional::isPresent)) {
            return List.of();
        }
        return typed.attempt("thick", () -> {
            try {
                return InUnit.of(UnevenWheel.of(teeth.get(), module.get(), new UnevenWheel.Tooth(thick.get(), thin.get()),
                        chart.get().leadScrew().mm(), turns.get()).says(), unit);
            } catch (Refused refused) {
                throw new Refused(InUnit.of(refused.reason(), unit));
            }
        }).orElse(List.of());
    }

    /** Module, mm; on an inch machine a bare figure is the diametral pitch, teeth to an inch of diameter. */
    private static BigDecimal module(String typed, LengthUnit unit) {
        boolean millimetres = typed.strip().endsWith("mm");
        BigDecimal figure = TypedNumber.parsePositive(typed.strip().replaceFirst("\\s*mm$", "")).value();
        return unit == LengthUnit.INCH && !millimetres ? LengthUnit.INCH.millimetres().divide(figure, MathContext.DECIMAL64) : figure;
    }

    private static BigDecimal length(String typed, LengthUnit unit) {
        return typed.isBlank() ? BigDecimal.ZERO : TypedLength.parse(typed, unit).mm();
    }

    private static List<Reason> swapped(FormInput typed, Optional<WheelSet> wheels, Optional<GearChart> chart) {
        Optional<Integer> driver = typed.attempt("driver", () -> teeth(typed.get("driver")));
        Optional<Integer> driven = typed.attempt("driven", () -> teeth(typed.get("driven")));
        Optional<Double> present = typed.attempt("present", () -> TypedNumber.parsePositive(typed.get("present")).value().doubleValue());
        Optional<Double> wanted = typed.attempt("wanted", () -> TypedNumber.parsePositive(typed.get("wanted")).value().doubleValue());
        if (!List.of(driver, driven, present, wanted).stream().allMatch(Optional::isPresent)) {
            return List.of();
        }
        WheelSet there = wheels.orElseGet(() -> WheelSet.parse(driver.get() + " " + driven.get()));
        GearChart.Teeth makeable = chart.map(GearChart::buyable).orElse(new GearChart.Teeth(20, 127));
        return List.of(ChangeWheels.swapped(driver.get(), driven.get(), present.get(), wanted.get()),
                ChangeWheels.says(ChangeWheels.instead(driver.get(), driven.get(), present.get(), wanted.get(), there, makeable)));
    }

    private static int teeth(String typed) {
        TypedNumber number = TypedNumber.parsePositive(typed);
        if (number.value().stripTrailingZeros().scale() > 0 || number.value().intValue() > MOST_TEETH) {
            throw Refused.because(WebReason.TEETH_FRACTION, typed);
        }
        return number.value().intValue();
    }
}
