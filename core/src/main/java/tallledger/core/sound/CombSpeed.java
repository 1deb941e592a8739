package tallledger.core.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tallledger.core.sound.Spectrum.Peak;

/**
 * The speed of a spindle as its sound tells it, where at least three of its orders stand out (W 3.8): f from the orders' frequencies by
 * least squares through nought, f = Σ k·p_k / Σ k². It fits where its orders lie four bins apart at least and each peak up to its tenth
 * lies within a bin of one. Of the speeds that fit the highest of the plate, within its tolerance; else the highest.
 *
 * <p>Worked: peaks at 4.99, 10.02, 15.01 Hz: f = (4.99 + 20.04 + 45.03)/14 = 5.0043 Hz, 300.3 min⁻¹.
 *
 * @param rpm    min⁻¹
 * @param u      standard uncertainty by the peaks' spread, min⁻¹
 * @param orders which stand out
 */
public record CombSpeed(double rpm, double u, List<Integer> orders) {

    private static final int MOST_ORDERS = 10;
    private static final int FEWEST_ORDERS = 3;
    private static final double MINUTE = 60;

    /**
     * @param peaks  without those of the supply
     * @param plate  speeds of the plate, min⁻¹
     * @param within share that a speed may be off the plate's
     */
    static Optional<CombSpeed> of(List<Peak> peaks, List<Double> plate, double within, double binHertz) {
        List<CombSpeed> fits = new ArrayList<>();
        for (Peak peak : peaks) {
            for (int k = 1; k <= MOST_ORDERS; k++) {
                fit(peaks, peak.hertz() / k, binHertz).ifPresent(fits::add);
            }
        }
        Comparator<CombSpeed> higher = Comparator.comparingDouble(CombSpeed::rpm);
        return fits.stream().filter(f -> plate.stream().anyMatch(n -> Math.abs(f.rpm - n) <= within * n)).max(higher)
                .or(() -> fits.stream().max(higher));
    }

    private static Optional<CombSpeed> fit(List<Peak> peaks, double first, double binHertz) {
        double f = first;
        List<Integer> orders = List.of();
        double off = 0;
        for (int again = 0; again < 2; again++) {
            if (f < Source.FEWEST_BINS * binHertz) {
                return Optional.empty();
            }
            List<Integer> found = new ArrayList<>();
            double sum = 0;
            double squares = 0;
            off = 0;
            for (Peak peak : peaks) {
                int k = (int) Math.rint(peak.hertz() / f);
                if (k > MOST_ORDERS || k < 1 && peak.hertz() > binHertz * Source.FEWEST_BINS) {
                    if (k < 1) {
                        return Optional.empty();
                    }
                    continue;
                }
                if (Math.abs(peak.hertz() - k * f) > binHertz) {
                    return Optional.empty();
                }
                found.add(k);
                sum += k * peak.hertz();
                squares += (double) k * k;
                off += (peak.hertz() - k * f) * (peak.hertz() - k * f);
            }
            orders = found;
            if (found.stream().distinct().count() < FEWEST_ORDERS) {
                return Optional.empty();
            }
            off = Math.sqrt(off / (found.size() - 1) / squares);
            f = sum / squares;
        }
        return Optional.of(new CombSpeed(f * MINUTE, off * MINUTE, List.copyOf(orders)));
    }
}
