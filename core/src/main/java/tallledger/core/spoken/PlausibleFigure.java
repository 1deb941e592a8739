package tallledger.core.spoken;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Form;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * Whether a figure can be one of a machine: captions mishear units, and "forty ton" may be forty thou. House values, wide: what is outside
 * should be listened to again.
 */
final class PlausibleFigure {

    /** Least and most, mm. */
    private record Between(String least, String most) {
    }

    private static final Map<Attribute, Between> LENGTHS = Map.ofEntries(Map.entry(Attribute.SWING, new Between("50", "4000")),
            Map.entry(Attribute.GAP_SWING, new Between("80", "5000")), Map.entry(Attribute.SLIDE_SWING, new Between("30", "3500")),
            Map.entry(Attribute.BETWEEN_CENTRES, new Between("100", "20000")), Map.entry(Attribute.TRAVEL, new Between("10", "20000")),
            Map.entry(Attribute.BORE, new Between("5", "600")), Map.entry(Attribute.CHUCK_SIZE, new Between("40", "3000")),
            Map.entry(Attribute.REST_SIZE, new Between("10", "1500")), Map.entry(Attribute.DRILLING_CAPACITY, new Between("1", "200")),
            Map.entry(Attribute.UNDER_SPINDLE, new Between("20", "4000")), Map.entry(Attribute.ARM_RADIUS, new Between("200", "5000")),
            Map.entry(Attribute.THROAT, new Between("50", "3000")), Map.entry(Attribute.ACCURACY, new Between("0.0005", "1")));

    private PlausibleFigure() {
    }

    /** Why it should be heard again; empty where nothing speaks against it. */
    static Optional<Reason> doubt(Claim claim, LengthUnit unit) {
        if (claim.attribute().form() != Form.LENGTH) {
            return Optional.empty();
        }
        try {
            BigDecimal mm = TypedLength.parse(claim.value(), unit).mm().abs();
            boolean bare = claim.value().chars().noneMatch(Character::isLetter) && claim.value().indexOf('"') < 0;
            Between between = LENGTHS.get(claim.attribute());
            if (between != null && (mm.compareTo(new BigDecimal(between.least)) < 0 || mm.compareTo(new BigDecimal(between.most)) > 0)) {
                return Optional.of(Reason.of(SpokenReason.UNIT_DOUBTED, claim.value()));
            }
            return bare ? Optional.of(Reason.of(SpokenReason.UNIT_MISSING, claim.value(), unit.symbol())) : Optional.empty();
        } catch (Refused none) {
            return Optional.of(Reason.of(SpokenReason.UNIT_DOUBTED, claim.value()));
        }
    }
}
