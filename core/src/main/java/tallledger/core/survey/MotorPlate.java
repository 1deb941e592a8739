package tallledger.core.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.SameSpeed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.drive.StageKind;
import tallledger.core.measuring.PlateText;
import tallledger.core.reading.Power;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;

/**
 * What the motor's plate says of its power, as somebody read it at the machine.
 *
 * @param read  the power alone, letter for letter
 * @param entry of the step
 */
public record MotorPlate(String read, int entry) {

    private static final Pattern POWER = Pattern.compile("(?i)(?<![\\w.])(?:\\d{1,3}"
            + " )?\\d{1,4}(?:[.,]\\d{1,3}|/\\d{1,2})?\\s?(?:kw|hp)\\b");

    /** Empty until the plate is read, or where what was read of it names no power. */
    public static Optional<MotorPlate> of(StepLedger steps) {
        return steps.latest().values().stream().filter(r -> r.step().code().equals("motor-plate")).findFirst()
                .flatMap(r -> r.as(PlateText.class).flatMap(plate -> plate.figure().filter(MotorPlate::isPower)
                        .or(() -> inWords(plate.text()))).map(said -> new MotorPlate(said, r.entry())));
    }

    private static Optional<String> inWords(String text) {
        // "type 3 0.75 kW": the figure before it is none of the power's where both make no figure.
        return Optional.of(POWER.matcher(text)).filter(Matcher::find).map(Matcher::group)
                .flatMap(said -> Stream.of(said, said.replaceFirst("^\\d+ ", "")).filter(MotorPlate::isPower).findFirst());
    }

    private static boolean isPower(String said) {
        try {
            MotorRating.atTheMotor(Power.parse(said));
            return true;
        } catch (Refused none) {
            return false;
        }
    }

    public Power power() {
        return Power.parse(read);
    }

    /**
     * What the same speed is worth by the gears and by the inverter, at the motor (W 1.1): between each two ranges that share speeds.
     * Nothing where the motor has several speeds: its plate says more than one power then.
     */
    public List<Reason> sameSpeeds(SpeedTable table) {
        if (table.train().stages().stream().anyMatch(s -> s.kind() == StageKind.MOTOR && s.isChoice())) {
            return List.of();
        }
        List<Reason> says = new ArrayList<>();
        SameSpeed.of(table, MotorRating.atTheMotor(power())).forEach(same -> says.add(same.says(table.train())));
        return says;
    }
}
