package tallledger.web.runsheet;

import java.util.List;
import java.util.Optional;
import tallledger.core.machine.Identity;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.StepLedger;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/** What the start form says is on the spindle. Each kind has its marks to itself: a chuck's are never read as a faceplate's. */
final class MountedForm {

    private static final String KIND = "mounted";

    private MountedForm() {
    }

    static Optional<Mounted> read(FormInput typed, Identity machine) {
        if (machine.family().traits().mountables().isEmpty()) {
            return Optional.of(Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", machine.unit()));
        }
        if (!typed.has(KIND)) {
            typed.refuse(KIND, Reason.of(WebReason.MOUNTED_MISSING));
            return Optional.empty();
        }
        return typed.choice(KIND, Mounted.Kind.class).flatMap(kind -> read(typed, kind, machine));
    }

    /** Core names its fields by themselves; here they stand in a row of several. */
    private static Optional<Mounted> read(FormInput typed, Mounted.Kind kind, Identity machine) {
        try {
            return Optional.of(kind == Mounted.Kind.NOTHING ? Mounted.parse(kind, "", "", "", "", machine.unit())
                    : Mounted.parse(kind, typed.get(kind + ".diameter"), typed.get(kind + ".markedRpm"), typed.get(kind + ".markedMs"),
                            typed.get(kind + ".askedOf"), machine.unit()));
        } catch (Refused refused) {
            typed.refuse(refused.field().map(f -> kind + "." + f).orElse(KIND), refused.reason());
            return Optional.empty();
        }
    }

    /** What was on the spindle at the last start stands in the form, to be looked at again; and what was read off the wheel. */
    static void remember(StepLedger ledger, FormInput typed) {
        if (typed.isSent(KIND)) {
            return;
        }
        ledger.wheelMark().ifPresent(wheel -> write(wheel, typed));
        ledger.mounted().ifPresent(mounted -> {
            write(mounted, typed);
            typed.set(KIND, mounted.kind().name());
        });
    }

    private static void write(Mounted mounted, FormInput typed) {
        mounted.typed().forEach((name, value) -> typed.set(mounted.kind() + "." + name, value));
        typed.set(mounted.kind() + ".askedOf", mounted.askedOf());
    }

    /** Which fields a kind has, in their order. */
    static List<String> fields(Mounted.Kind kind) {
        return switch (kind) {
            case NOTHING -> List.of();
            case WHEEL -> List.of("markedRpm", "markedMs", "diameter");
            case CHUCK, FACEPLATE -> List.of("markedRpm", "diameter", "askedOf");
        };
    }
}
