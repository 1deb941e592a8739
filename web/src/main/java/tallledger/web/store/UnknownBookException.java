package tallledger.web.store;

/** The address names a machine or survey that is not here. */
public class UnknownBookException extends RuntimeException {

    public UnknownBookException(long id) {
        super("no such book: " + id);
    }
}
