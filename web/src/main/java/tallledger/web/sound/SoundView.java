package tallledger.web.sound;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.drive.UnknownMesh;
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
 * @param pieces    how it goes while it lasts
 * @param bands     level of each octave, of this one and of the other
 * @param with      the other one that is drawn over it
 */
public record SoundView(Recording recording, List<Reason> unfit, List<Reason> doubts, List<Reason> says, PlotView plot,
        List<PeakLine> peaks, PiecesView pieces, List<BandLine> bands, Optional<Recording> with) {

    /** An octave by its middle, Hz. @param other level of the other recording; empty where there is none, or it does not reach */
    public record BandLine(int middle, BigDecimal level, Optional<BigDecimal> other) {
    }

    static List<BandLine> bands(SoundAnalysis analysis, Optional<SoundAnalysis> with) {
        Map<Integer, BigDecimal> other = with.map(SoundAnalysis::bands).orElse(Map.of());
        return analysis.bands().entrySet().stream()
                .map(b -> new BandLine(b.getKey(), b.getValue(), Optional.ofNullable(other.get(b.getKey())))).toList();
    }

    /** Whether it would prove something if it were looked at as things are now. */
    public boolean isOutOfDate() {
        return unfit.stream().anyMatch(r -> List.of("sound.other-speed", "sound.not-looked-at").contains(r.code()));
    }

    private static final int MOST_SOURCES = 3;

    /** A peak, with what it may belong to; nothing where nobody knows. @param order of the spindle; empty where its speed is not known */
    public record PeakLine(int number, BigDecimal hertz, Optional<BigDecimal> order, BigDecimal level, BigDecimal over, List<Reason> may) {
    }

    /** @param meshes of its route whose teeth are not known */
    static List<PeakLine> lines(SoundAnalysis analysis, Optional<Double> rpm, List<UnknownMesh> meshes) {
        return java.util.stream.IntStream.range(0, analysis.peaks().size()).mapToObj(i -> {
            NamedPeak p = analysis.peaks().get(i);
            return new PeakLine(i + 1, tenths(p.peak().hertz()), rpm.map(n -> BigDecimal.valueOf(p.peak().hertz() * 60 / n)
                    .setScale(2, RoundingMode.HALF_UP)), tenths(p.peak().level()), tenths(p.peak().over()),
                    p.sources().isEmpty() ? rpm.flatMap(n -> analysis.mesh(p.peak(), meshes, n)).stream().toList()
                            : p.sources().stream().limit(MOST_SOURCES).map(Source::says).toList());
        }).toList();
    }

    private static BigDecimal tenths(double value) {
        return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
