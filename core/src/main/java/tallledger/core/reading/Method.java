package tallledger.core.reading;

/** How a speed was read; each has its own source of uncertainty. */
public enum Method {
    /** A wheel or cone held against the turning spindle; read as shown. */
    CONTACT_TACHOMETER,
    /** Light thrown back by m marks on the spindle; the speed is what is shown over m. */
    OPTICAL,
    /** A flashing lamp that makes the spindle stand still; it also does at fractions and multiples. */
    STROBE,
    /** The machine's own display. */
    DISPLAY,
    /** The machine's own display before a back gear: what it shows times the gear's ratio turns. */
    DISPLAY_BEFORE_GEAR,
    /** N turns counted against a clock; N turns are N + 1 taps, the first starts the clock. */
    TAP_COUNT,
    /** The same in a film, at whatever speed it played. */
    FILM_TAPS,
    /** Turns between two frames of a film. */
    FILM_FRAMES;

    /** Whether a figure is read off something, rather than counted. */
    public boolean isShown() {
        return this != TAP_COUNT && !isOfFilm();
    }

    /** Whether it was counted in a film. */
    public boolean isOfFilm() {
        return this == FILM_TAPS || this == FILM_FRAMES;
    }
}
