package tallledger.web.library;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.plan.SheetPlan;
import tallledger.core.plan.SurveyPlan;
import tallledger.web.cache.BoundedCache;

/** The plan of a survey, made afresh after every entry and kept until the next; a plan by the minute is made at every look. */
@Component
public class Plans {

    private record KeptPlan(tallledger.core.survey.Survey of, Optional<BigDecimal> minutesLeft, SheetPlan plan) {
    }

    private static final int MOST = 64;

    private final Clock clock;
    private final BoundedCache<Long, KeptPlan> kept = new BoundedCache<>(MOST, plan -> 1);

    Plans(Clock clock) {
        this.clock = clock;
    }

    /** The plan of the whole sheet. */
    public SheetPlan sheet(StoredSurvey survey) {
        KeptPlan have = kept.get(survey.id()).orElse(null);
        if (have != null && have.of == survey.core() && have.minutesLeft.isEmpty()) {
            return have.plan;
        }
        SheetPlan plan = SheetPlan.of(survey.core(), clock.instant());
        kept.put(survey.id(), new KeptPlan(survey.core(), plan.spindle().minutesLeft(), plan));
        return plan;
    }

    /** The part of it that is the spindle's runs. */
    public SurveyPlan of(StoredSurvey survey) {
        return sheet(survey).spindle();
    }
}
