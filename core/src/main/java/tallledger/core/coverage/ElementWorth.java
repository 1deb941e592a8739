package tallledger.core.coverage;

import tallledger.core.drive.StageKind;

/**
 * What knowing an element is worth: the chance p that it is bad times the cost c of finding out after the sale (house
 * starting values in the user's own money).
 *
 * @param chance p
 * @param cost   c, likely cost to put it right
 */
public record ElementWorth(double chance, double cost) {

    public static ElementWorth of(StageKind kind) {
        return switch (kind) {
            case MOTOR -> new ElementWorth(0.03, 350);
            case BELT -> new ElementWorth(0.03, 60);
            case GEAR -> new ElementWorth(0.03, 600);
            case CHANGE_WHEELS -> new ElementWorth(0.03, 80);
            case BACK_GEAR -> new ElementWorth(0.03, 300);
            case VARIATOR -> new ElementWorth(0.05, 400);
            case INVERTER -> new ElementWorth(0.03, 500);
            case COMMANDED -> new ElementWorth(0.05, 500);
            case DIRECTION -> new ElementWorth(0.03, 150);
        };
    }

    public double worth() {
        return chance * cost;
    }
}
