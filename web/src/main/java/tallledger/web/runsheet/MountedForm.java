package tallledger.web.runsheet;

import java.util.Optional;
import tallledger.core.machine.Identity;
import tallledger.core.reason.Reason;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.StartCheck;
import tallledger.web.forms.Typed;

/** What the start form says is on the spindle. */
final class MountedForm {

    private MountedForm() {
    }

    static Optional<Mounted> read(Typed typed, Identity machine) {
        if (StartCheck.mountables(machine.family()).isEmpty()) {
            return Optional.of(Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", machine.unit()));
        }
        if (!typed.has("mounted")) {
            typed.refuse("mounted", Reason.of("mounted.missing"));
            return Optional.empty();
        }
        return typed.choice("mounted", Mounted.Kind.class).flatMap(kind -> typed.attempt("mounted", () -> kind == Mounted.Kind.NOTHING
                ? Mounted.parse(kind, "", "", "", "", machine.unit())
                : Mounted.parse(kind, typed.get("diameter"), typed.get("markedRpm"), typed.get("markedMs"), typed.get("askedOf"), machine.unit())));
    }
}
