package tallledger.core.gauge;

import java.util.Optional;

/** How good a machine is judged to be: a worn one is not judged as a rebuilt one. Best first. */
public enum Grade {
    REBUILT, SOUND, WORKABLE;

    /** Of what has both, it is what the worse of them says. */
    public static Optional<Grade> worse(Optional<Grade> one, Optional<Grade> other) {
        return one.flatMap(a -> other.map(b -> a.compareTo(b) > 0 ? a : b));
    }
}
