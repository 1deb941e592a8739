package tallledger.core.family;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum FamilyReason implements ReasonCode {
    AXES_MANY("axes.many", "count", "mostAxes"),
    AXES_REPEATED("axes.repeated", "name"),
    AXES_SAME("axes.same", "name"),
    OWN_CHART_LONG("own-chart.long", "count", "most"),
    FEATURE_EXCLUDES("feature.excludes", "feature", "x"),
    FEATURE_FAMILY("feature.family", "f", "family"),
    FEATURE_NEEDS("feature.needs", "feature", "needed"),
    SYSTEM_CYCLE("system.cycle", "name"),
    SYSTEM_OF_AXIS("system.of-axis", "axis", "system");

    private final Sentence sentence;

    FamilyReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
