package tallledger.web.runsheet;

import java.util.List;
import java.util.Optional;
import tallledger.core.survey.CheckResult;
import tallledger.core.survey.DriveCheck;
import tallledger.core.survey.SpindleSurvey;
import tallledger.web.words.Figures;

/**
 * A drive check as a line of the spine.
 *
 * @param key     of its step
 * @param mark    stroke to draw
 * @param seconds stopping time, where it was measured
 */
public record CheckStep(DriveCheck check, String key, String mark, String seconds) {

    static List<CheckStep> of(SpindleSurvey survey) {
        return DriveCheck.of(survey.machine().train()).stream().map(check -> {
            Optional<CheckResult> result = Optional.ofNullable(survey.checks().get(check));
            String mark = result.map(r -> r.isBad() ? "failed" : "proven").orElse("open");
            return new CheckStep(check, "check-" + check.name(), mark,
                    result.flatMap(CheckResult::seconds).map(s -> Figures.plain(s) + " s").orElse(""));
        }).toList();
    }
}
