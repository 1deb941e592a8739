package tallledger.core.survey;

import java.util.Optional;
import tallledger.core.gauge.Gauge;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;

/** Whether a gauge's calibration had run out on the day of a reading, where the reading was taken. */
final class Overdue {

    private Overdue() {
    }

    static Optional<Reason> said(Gauge by, Entry entry) {
        return by.due().filter(due -> by.isOverdue(entry.at().atZone(entry.by().zone()).toLocalDate()))
                .map(due -> Reason.of(SurveyReason.GAUGE_OVERDUE, by.name(), due.toString()));
    }
}
