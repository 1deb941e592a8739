package tallledger.core.blame;

import java.util.Set;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;

/**
 * One run as evidence.
 *
 * @param route    what was run
 * @param symptoms what showed; none for a run that went well
 */
public record Trial(Route route, Set<Symptom> symptoms) {

    public boolean failed() {
        return !symptoms.isEmpty();
    }
}
