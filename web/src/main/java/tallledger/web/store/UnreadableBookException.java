package tallledger.web.store;

import tallledger.core.reason.Reason;

/** A machine none of whose descriptions can be read. */
public class UnreadableBookException extends RuntimeException {

    private final long book;
    private final transient Reason reason;

    public UnreadableBookException(long book, Reason reason) {
        super("book " + book + ": " + reason);
        this.book = book;
        this.reason = reason;
    }

    public long book() {
        return book;
    }

    public Reason reason() {
        return reason;
    }
}
