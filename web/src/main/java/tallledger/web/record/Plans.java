package tallledger.web.record;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import tallledger.core.survey.SheetPlan;
import tallledger.core.survey.SurveyPlan;

/** The plan of a survey, made afresh after every entry and kept until the next; a plan by the minute is made at every look. */
@Component
public class Plans {

    private record Kept(tallledger.core.survey.Survey of, Optional<BigDecimal> minutesLeft, SheetPlan plan) {
    }

    private final Clock clock;
    private final Map<Long, Kept> kept = new ConcurrentHashMap<>();

    Plans(Clock clock) {
        this.clock = clock;
    }

    /** The plan of the whole sheet. */
    public SheetPlan sheet(Survey survey) {
        Kept have = kept.get(survey.id());
        if (have != null && have.of == survey.core() && have.minutesLeft.isEmpty()) {
            return have.plan;
        }
        SheetPlan plan = SheetPlan.of(survey.core(), clock.instant());
        kept.put(survey.id(), new Kept(survey.core(), plan.spindle().minutesLeft(), plan));
        return plan;
    }

    /** The part of it that is the spindle's runs. */
    public SurveyPlan of(Survey survey) {
        return sheet(survey).spindle();
    }
}
