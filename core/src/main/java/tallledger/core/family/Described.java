package tallledger.core.family;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.drive.DriveTrain;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.TypedLength;
import tallledger.core.unit.LengthUnit;

/** What a family's steps need to know of a machine. */
public interface Described {

    Family family();

    /** Of lengths typed without one. */
    LengthUnit unit();

    DriveTrain train();

    /** Its speed plate; what cannot be read on it stands there as that. */
    SpeedPlate plate();

    /** Its feed plate, where it has one. */
    Optional<FeedPlate> feeds();

    /** Its thread plate by levers, where it has one. */
    default Optional<ThreadPlate> threads() {
        return Optional.empty();
    }

    FitOut fitOut();

    /**
     * Things whose number somebody claims: each is counted.
     *
     * @param what  as they are called
     * @param count how many there should be
     */
    record CountedPieces(String what, int count) {
    }

    default List<CountedPieces> counted() {
        return List.of();
    }

    /** Sizes somebody claims, by the code of the step that measures each. */
    default Map<String, TypedLength> claimedSizes() {
        return Map.of();
    }

    /** What a former owner made anew or added, as it is called: each is looked at. */
    default List<String> redone() {
        return List.of();
    }

    default boolean reverses() {
        return train().directionStage().isPresent();
    }
}
