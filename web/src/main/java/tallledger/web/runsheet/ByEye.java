package tallledger.web.runsheet;

import tallledger.core.reason.Reason;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/** What only an eye or ear can decide is decided by a key that says which way; Enter in a field says neither. */
final class ByEye {

    private static final String ENTER = "enter";

    private ByEye() {
    }

    static boolean decided(FormInput typed) {
        if (typed.get("do").equals(ENTER)) {
            typed.refuse("decide", Reason.of(WebReason.STEP_UNDECIDED));
        }
        return !typed.isWrong("decide");
    }
}
