package tallledger.web.record;

/** The address names a machine or survey that is not here. */
public class NoSuchBook extends RuntimeException {

    NoSuchBook(long id) {
        super("no such book: " + id);
    }
}
