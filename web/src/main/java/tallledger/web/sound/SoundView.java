package tallledger.web.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Reason;
import tallledger.core.sound.SoundAnalysis;
import tallledger.core.sound.SoundAnalysis.NamedPeak;
import tallledger.core.sound.Source;
import tallledger.core.survey.Recording;
import tallledger.web.pictures.PlotView;

/**
 * One recording as the page shows it.
 *
 * @param recording which
 * @param unfit     why it proves nothing
 * @param says      what it comes to
 * @param plot      its spectrum
 * @param peaks     what stands out
 * @param with      the other one that is drawn over it
 */
public record SoundView(Recording recording, List<Reason> unfit, List<Reason> doubts, List<Reason> says, PlotView plot,
        List<PeakLine> peaks,
        Optional<Recording> with) {

    /** Whether it would prove something if it were looked at as things are now. */
    public boolean isOutOfDate() {
        return unfit.stream().anyMatch(r -> List.of("sound.other-speed", "sound.not-looked-at").contains(r.code()));
    }

    private static final int MOST_SOURCES = 3;

    /** A peak, with what it may belong to; nothing where nobody knows. @param order of the spindle; empty where its speed is not known */
    public record PeakLine(int number, BigDecimal hertz, Optional<BigDecimal> order, BigDecimal level, BigDecimal over, List<Reason> may) {
    }

    static List<PeakLine> lines(SoundAnalysis analysis, Optional<Double> rpm) {
        return java.util.stream.IntStream.range(0, analysis.peaks().size()).mapToObj(i -> {
            NamedPeak p = analysis.peaks().get(i);
            return new PeakLine(i + 1, tenths(p.peak().hertz()), rpm.map(n -> BigDecimal.valueOf(p.peak().hertz() * 60 / n)
                    .setScale(2, RoundingMode.HALF_UP)), tenths(p.peak().level()), tenths(p.peak().over()),
                    p.sources().stream().limit(MOST_SOURCES).map(Source::says).toList());
        }).toList();
    }

    private static BigDecimal tenths(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
