package tallledger.core.blame;

import java.util.Optional;
import java.util.Set;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.Route;

/**
 * One run as evidence.
 *
 * @param route    what was run
 * @param heard    what showed, none for a run that went well; empty where nobody noted how it ran
 * @param recorded what a recording of it tells
 */
public record Trial(Route route, Optional<Set<Symptom>> heard, Optional<Recorded> recorded) {

    /** What a microphone hears as well as an ear. */
    private static final Set<Symptom> SOUNDS = Set.of(Symptom.KNOCKS_ONCE_A_TURN, Symptom.GROWLS, Symptom.WHINES, Symptom.SQUEALS);

    /** By ear only. */
    public Trial(Route route, Set<Symptom> symptoms) {
        this(route, Optional.of(symptoms), Optional.empty());
    }

    public Set<Symptom> symptoms() {
        return heard.orElse(Set.of());
    }

    /**
     * What counts of it (W 3.8): of ear and recording the one that tells more, that is with the greater |ln(L faulty / L none)|; where
     * they contradict each other over a sound, the recording; what was felt or seen, whatever the recording says.
     *
     * @param mask elements of the route
     */
    Trial counting(long mask, Chances chances) {
        if (heard.isEmpty() || recorded.isEmpty()) {
            return this;
        }
        Recorded recording = recorded.get();
        boolean felt = symptoms().stream().anyMatch(s -> !SOUNDS.contains(s) && s != Symptom.RATTLES);
        boolean byEar = felt || !recording.tells()
                || !contradict(recording) && chances.earTells(symptoms()) >= recording.weight(mask, chances);
        return byEar ? new Trial(route, heard, Optional.empty()) : new Trial(route, Optional.empty(), recorded);
    }

    /** A rattle comes of anything loose: no part of the drive need knock. */
    private boolean contradict(Recorded recording) {
        boolean sounds = symptoms().stream().anyMatch(SOUNDS::contains);
        return sounds && !recording.hearsAnything() || symptoms().isEmpty() && recording.hearsAnything();
    }

    /** Whether what counts of it speaks of a fault. */
    public boolean failed() {
        return !symptoms().isEmpty() || recorded.filter(Recorded::hearsAnything).isPresent();
    }
}
