package tallledger.web.works;

import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;

/** How far a piece of work is, told by the work and read by whoever waits for it; asked to stop, it does at its next word. */
public class Progress {

    /** Somebody asked it to stop, or the application ends. */
    public static final class StoppedException extends RuntimeException {

        private static final long serialVersionUID = 1;

        StoppedException() {
            super("stopped", null, false, false);
        }
    }

    private volatile double share;
    private volatile Reason doing = Reason.of(WebReason.WORK_BEGINS);
    private volatile boolean stopped;

    /** Of work that nobody watches. */
    public static Progress unwatched() {
        return new Progress();
    }

    /**
     * @param share done, 0 to 1
     * @param doing what is done now
     * @throws Stopped where it is to stop
     */
    public void at(double share, Reason doing) {
        this.doing = doing;
        at(share);
    }

    /** The same, going on with the same. @throws Stopped where it is to stop */
    public void at(double share) {
        if (stopped) {
            throw new StoppedException();
        }
        this.share = Math.max(0, Math.min(1, share));
    }

    /** A part of it: what is all of the part is the whole from one share to another. */
    public Progress part(double from, double to) {
        Progress whole = this;
        return new Progress() {
            @Override
            public void at(double share, Reason doing) {
                whole.at(from + (to - from) * share, doing);
            }

            @Override
            public void at(double share) {
                whole.at(from + (to - from) * share);
            }
        };
    }

    void stop() {
        stopped = true;
    }

    public double share() {
        return share;
    }

    public Reason doing() {
        return doing;
    }
}
