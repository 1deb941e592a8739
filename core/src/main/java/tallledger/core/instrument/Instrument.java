package tallledger.core.instrument;

/** Something that can be asked for a reading instead of a person. */
public interface Instrument {

    /**
     * What is read.
     *
     * @param task  key of the speed or step it is read for
     * @param field of its form
     */
    record ReadingFor(String task, String field) {
    }

    InstrumentKind kind();

    /**
     * As a person would type it, with its unit where its field wants one; several, parted by blanks or lines, where the field takes a row.
     *
     * @throws tallledger.core.reason.Refused where there is nothing to read, and why
     */
    String read(ReadingFor asked);
}
