package tallledger.core.survey;

import java.util.Map;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Entry;
import tallledger.core.price.Stakes;

/** What the machine comes with and comes to: kit, weight, prices, and how bad a person judges a finding to be. */
public sealed interface AppraisalEvent extends Event {

    /** Kit or a paper was looked for, promised or awaited. */
    record KitSeen(KitItem item) implements AppraisalEvent {
        static KitSeen from(Entry entry) {
            return new KitSeen(KitItem.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return item.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.kit(this, entry);
        }
    }

    /** What the machine weighs and the lift is said to carry. */
    record LiftWeighed(Lift lift) implements AppraisalEvent {
        static LiftWeighed from(Entry entry) {
            return new LiftWeighed(Lift.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return lift.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.lift(this, entry);
        }
    }

    /** What is asked, what a sound one is worth, where the machine comes from. */
    record Priced(Stakes stakes) implements AppraisalEvent {
        static Priced from(Entry entry) {
            return new Priced(Stakes.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return stakes.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.priced(this, entry);
        }
    }

    /** A finding is judged by a person. */
    record Regraded(Regrade regrade) implements AppraisalEvent {
        static Regraded from(Entry entry) {
            return new Regraded(Regrade.from(entry.payload()));
        }

        @Override
        public Map<String, Object> toPayload() {
            return regrade.toPayload();
        }

        @Override
        public <T> T accept(EventVisitor<T> visitor, Entry entry) {
            return visitor.regraded(this, entry);
        }
    }
}
