package tallledger.web.record;

/** The address names a machine or survey that is not here. */
public class UnknownBookException extends RuntimeException {

    UnknownBookException(long id) {
        super("no such book: " + id);
    }
}
