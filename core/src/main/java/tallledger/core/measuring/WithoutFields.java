package tallledger.core.measuring;

import java.util.List;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.rules.Rules;

/** A record of which nothing is typed: looked at, done elsewhere, or kept in an entry of its own. */
interface WithoutFields extends Recording<NothingTyped> {

    @Override
    default List<RecordField> fields() {
        return List.of();
    }

    @Override
    default NothingTyped read(Values values) {
        return NothingTyped.WRITTEN;
    }

    @Override
    default StepJudgement judge(NothingTyped nothing, Rules rules) {
        return StepJudgement.of(Outcome.PROVEN);
    }
}
