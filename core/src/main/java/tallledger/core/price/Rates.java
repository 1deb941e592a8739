package tallledger.core.price;

import java.util.OptionalDouble;

/**
 * What work costs on one machine.
 *
 * <p>size = (mass/1 500 kg)^0.4 between 0.5 and 2.5, 1 where no mass is known. Worked: 2 060 kg: 1.1353; 4/8/16 h at 45 and parts
 * 60/150/400 cost 264/559/1 217, mean 619.4.
 *
 * @param anHour in the user's money
 * @param size   of the work, against a machine of 1 500 kg
 * @param most   no figure of a repair is more: beyond it the machine is scrap
 */
public record Rates(double anHour, double size, double most) {

    private static final double REFERENCE = 1500;
    private static final double POWER = 0.4;
    private static final double SMALLEST = 0.5;
    private static final double LARGEST = 2.5;

    /** @param mass kg; empty where nobody knows it */
    public static Rates of(double anHour, OptionalDouble mass, double most) {
        double size = mass.isEmpty() || !(mass.getAsDouble() > 0) ? 1
                : Math.min(LARGEST, Math.max(SMALLEST, Math.pow(mass.getAsDouble() / REFERENCE, POWER)));
        return new Rates(anHour, size, most);
    }
}
