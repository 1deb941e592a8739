package tallledger.web.store;

import tallledger.core.reason.Reason;

/** Nothing was written, and why; the caller shows what was typed again. */
public class WriteRefusedException extends RuntimeException {

    private final transient Reason reason;

    public WriteRefusedException(Reason reason) {
        super(reason.toString());
        this.reason = reason;
    }

    public WriteRefusedException(Reason reason, Throwable cause) {
        super(reason.toString(), cause);
        this.reason = reason;
    }

    public Reason reason() {
        return reason;
    }
}
