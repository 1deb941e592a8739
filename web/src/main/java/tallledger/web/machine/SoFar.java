package tallledger.web.machine;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.HouseTimes;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.SpeedTable;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Described;
import tallledger.core.family.Family;
import tallledger.core.family.FitOut;
import tallledger.core.family.Step;
import tallledger.core.motion.FeedPlate;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.web.words.WebReason;

/** A machine as far as it is described: enough to say what its survey would hold. */
record SoFar(Family family, LengthUnit unit, DriveTrain train, SpeedPlate plate, Optional<FeedPlate> feeds, Optional<ThreadPlate> threads,
        FitOut fitOut) implements Described {

    List<Step> steps(Rules rules) {
        return Catalogue.of(this, rules);
    }

    /** One route of every speed. */
    List<Route> routes() {
        return SpeedTable.of(train, plate).counted().stream().map(speed -> speed.routes().get(0)).toList();
    }

    /** Speeds, other steps, and the minutes they take without the walking between. */
    Reason says(Rules rules) {
        List<Step> steps = steps(rules);
        HouseTimes times = HouseTimes.of(rules);
        var speeds = SpeedTable.of(train, plate).counted();
        double listening = speeds.stream().mapToDouble(s -> times.run(s.expected().orElse(SLOW), false)).sum() / 60;
        return Reason.of(WebReason.SO_FAR, speeds.size(), steps.size(), Math.round(Step.minutes(steps) + listening));
    }

    /** What a speed nobody can read is taken for, rpm: listening takes its usual time. */
    private static final double SLOW = 100;
}
