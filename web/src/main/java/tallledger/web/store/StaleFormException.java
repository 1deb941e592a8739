package tallledger.web.store;

/** Somebody else wrote in this book since the page was shown; the caller shows what was typed again. */
public class StaleFormException extends RuntimeException {

    private final int seen;
    private final int head;

    public StaleFormException(int seen, int head) {
        super("page showed entry " + seen + ", the book is at " + head);
        this.seen = seen;
        this.head = head;
    }

    public int seen() {
        return seen;
    }

    public int head() {
        return head;
    }
}
