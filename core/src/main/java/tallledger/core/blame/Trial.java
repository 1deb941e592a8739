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
     * they contradict each other over a sound, the recording; what was felt or seen, whatever the recording says. A recording contradicts
     * a knock only where it was looked for on shafts of every part that may be to blame, any other sound where sidebands were (house).
     *
     * @param mask    elements of the route
     * @param choices those of them that are not on every route
     */
    Trial counting(long mask, long choices, Chances chances) {
        if (heard.isEmpty() || recorded.isEmpty()) {
            return this;
        }
        Recorded recording = recorded.get();
        boolean felt = symptoms().stream().anyMatch(s -> !SOUNDS.contains(s) && s != Symptom.RATTLES);
        boolean byEar = felt || !recording.tells()
                || !contradict(recording, choices) && chances.earTells(symptoms()) >= recording.weight(mask, chances);
        return byEar ? new Trial(route, heard, Optional.empty()) : new Trial(route, Optional.empty(), recorded);
    }

    /** A rattle comes of anything loose: no part of the drive need knock. */
    private boolean contradict(Recorded recording, long choices) {
        if (symptoms().isEmpty() || recording.hearsAnything()) {
            return symptoms().isEmpty() && recording.hearsAnything();
        }
        return symptoms().stream().filter(SOUNDS::contains).anyMatch(s -> recording.couldHear(s == Symptom.KNOCKS_ONCE_A_TURN, choices));
    }

    /** Whether what counts of it speaks of a fault. */
    public boolean failed() {
        return !symptoms().isEmpty() || recorded.filter(Recorded::hearsAnything).isPresent();
    }
}
