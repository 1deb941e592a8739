package tallledger.core.machine;

import java.util.Map;
import java.util.stream.Stream;
import tallledger.core.family.Family;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * Which machine this is. Everything but the name may be empty: then it is not known.
 *
 * @param name   what the survey calls it
 * @param seenAt where it stands
 * @param offeredBy who offers it
 */
public record Identity(String name, String maker, String model, Family family, String serial, String year,
        String seenAt, String offeredBy, LengthUnit unit) {

    public static final int LONGEST = 120;

    public Identity {
        name = name.strip();
        if (name.isEmpty()) {
            throw Refused.because(MachineReason.MACHINE_NAME_MISSING);
        }
        Stream.of(name, maker, model, serial, year, seenAt, offeredBy).forEach(text -> {
            if (text.length() > LONGEST) {
                throw Refused.because(CommonReason.TEXT_LONG, text.length(), LONGEST);
            }
        });
    }

    Map<String, Object> toPayload() {
        return Map.of("name", name, "maker", maker, "model", model, "family", family.name(), "serial", serial,
                "year", year, "seenAt", seenAt, "offeredBy", offeredBy, "unit", unit.name());
    }

    static Identity from(tallledger.core.ledger.Payload p) {
        return new Identity(p.text("name"), p.text("maker"), p.text("model"), Family.valueOf(p.text("family")),
                p.text("serial"), p.text("year"), p.text("seenAt"), p.text("offeredBy"), LengthUnit.valueOf(p.text("unit")));
    }
}
