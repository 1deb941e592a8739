package tallledger.core.gauge;

/** How good a machine is judged to be: a worn one is not judged as a rebuilt one. Best first. */
public enum Grade {
    REBUILT, SOUND, WORKABLE
}
