package tallledger.web.record;

import java.util.List;
import tallledger.core.ledger.Entry;
import tallledger.core.survey.SpindleSurvey;
import tallledger.core.survey.StepLedger;

/**
 * A survey's book, read and folded.
 *
 * @param id             its book
 * @param machine        the machine, at its newest version
 * @param machineVersion the version this survey judges by
 * @param folded         what its spindle runs come to
 * @param steps          what its steps come to
 */
public record Survey(long id, Machine machine, int machineVersion, SpindleSurvey folded, StepLedger steps) {

    public List<Entry> entries() {
        return folded.entries();
    }

    /** Sequence of the last entry: what a form shown now has seen. */
    public int head() {
        return entries().size();
    }

    public boolean isBehindDescription() {
        return machineVersion < machine.version();
    }

    public String lastAuthor() {
        return entries().get(head() - 1).author();
    }
}
