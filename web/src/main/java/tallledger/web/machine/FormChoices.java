package tallledger.web.machine;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Family;
import tallledger.core.family.StartingDescription;
import tallledger.core.machine.Claim;
import tallledger.core.motion.Axis;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.unit.LengthUnit;

/** What can be chosen in a machine's form. */
public final class FormChoices {

    static final FormChoices ALL = new FormChoices();

    private FormChoices() {
    }

    public List<StartingDescription> starts() {
        return StartingDescription.all();
    }

    public List<Family> families() {
        return List.of(Family.values());
    }

    public List<LengthUnit> units() {
        return List.of(LengthUnit.values());
    }

    /** What a claim may be about, by its subject. */
    public Map<Claim.Subject, List<Claim.Attribute>> attributes() {
        return Stream.of(Claim.Attribute.values())
                .collect(Collectors.groupingBy(Claim.Attribute::subject, () -> new EnumMap<>(Claim.Subject.class), Collectors.toList()));
    }

    public List<Claim.Source> sources() {
        return List.of(Claim.Source.values());
    }

    /** Reversing is asked for by itself. */
    public List<StageKind> kinds() {
        return Stream.of(StageKind.values()).filter(kind -> kind != StageKind.DIRECTION).toList();
    }

    public List<Shifting> shiftings() {
        return List.of(Shifting.values());
    }

    public List<LeverPattern> patterns() {
        return List.of(LeverPattern.values());
    }

    public List<MovedBy> moved() {
        return List.of(MovedBy.values());
    }

    public List<MotorRating.Law> laws() {
        return List.of(MotorRating.Law.values());
    }

    public List<Axis.Per> pers() {
        return List.of(Axis.Per.values());
    }

    public List<Axis.Role> roles() {
        return List.of(Axis.Role.values());
    }

    public List<Axis.Ability> abilities() {
        return List.of(Axis.Ability.values());
    }

    public List<ThreadPlate.Counted> threadCounts() {
        return List.of(ThreadPlate.Counted.values());
    }
}
