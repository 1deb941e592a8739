package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import tallledger.core.family.Family;
import tallledger.core.machine.Identity;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;

/** What a machine is, as typed. */
final class IdentityFields {

    private static final List<String> TEXTS = List.of("name", "maker", "model", "serial", "year", "seenAt", "offeredBy");

    private IdentityFields() {
    }

    static Optional<Identity> read(FormInput typed) {
        Optional<Family> family = typed.choice("family", Family.class);
        TEXTS.stream().filter(field -> typed.get(field).length() > Identity.LONGEST).forEach(field -> typed.refuse(field,
                Reason.of(CommonReason.TEXT_LONG, typed.get(field).length(), Identity.LONGEST)));
        return family.flatMap(f -> typed.attempt("name", () -> new Identity(typed.get("name"), typed.get("maker").strip(),
                typed.get("model").strip(), f, typed.get("serial").strip(), typed.get("year").strip(), typed.get("seenAt").strip(),
                typed.get("offeredBy").strip(), unit(typed))));
    }

    /** Millimetres until somebody says inches. */
    static LengthUnit unit(FormInput typed) {
        return typed.holds("unit", LengthUnit.INCH.name()) ? LengthUnit.INCH : LengthUnit.MM;
    }

    static void write(Identity id, FormInput typed) {
        typed.set("name", id.name());
        typed.set("maker", id.maker());
        typed.set("model", id.model());
        typed.set("serial", id.serial());
        typed.set("year", id.year());
        typed.set("seenAt", id.seenAt());
        typed.set("offeredBy", id.offeredBy());
        typed.set("family", id.family().name());
        typed.set("unit", id.unit().name());
    }

    /** A sister is of the same make; she has a number, a place and an owner of her own. */
    static void writeSister(Identity id, FormInput typed) {
        List.of("serial", "year", "seenAt", "offeredBy").forEach(field -> typed.set(field, ""));
        typed.set("name", id.name() + " (2)");
    }
}
