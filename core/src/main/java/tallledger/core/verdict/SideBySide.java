package tallledger.core.verdict;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.Speed;
import tallledger.core.family.Feature;
import tallledger.core.family.Step;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.motion.Axis;
import tallledger.core.price.Stakes;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Survey;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * Two to four machines on the same characteristics (W 4.5). How much was tested on one and not on another is said before any difference: an
 * untested value is no advantage. What is good on one and not on another comes first, then the greatest difference over the workable limit;
 * then what has no limit and differs; then, row by row, what was not tested on all; what is alike within √(U₁² + U₂²), or the same, last.
 *
 * @param rows     in that order
 * @param sisters  whether all are of one maker and model: then their descriptions ought to agree
 * @param untested how many characteristics were not tested on each machine that were on another
 */
public record SideBySide(List<ComparedRow> rows, boolean sisters, List<Integer> untested) {

    public static final int FEWEST = 2;
    public static final int MOST = 4;

    /** Where a row stands, in the order shown. */
    public enum Part { MEASURED, OTHERWISE, TESTED_ON_ONE, ALIKE }

    /**
     * One characteristic.
     *
     * @param name  of a step, or of what is compared
     * @param per   length a measured value is shown over, mm; empty where it stands as it is
     * @param cells one a machine, in their order
     * @param rank  greatest difference over the workable limit; nought where there is none
     */
    public record ComparedRow(Part part, Reason name, Optional<BigDecimal> per, List<ComparedCell> cells, double rank) {

        /** Good on one and not on another; where one was not tested, not good on the other. */
        public boolean isTelling() {
            List<Outcome> outcomes = cells.stream().flatMap(c -> c.outcome.stream()).distinct().toList();
            return outcomes.contains(Outcome.FAILED) && (outcomes.size() > 1 || part == Part.TESTED_ON_ONE);
        }

        /** Whether anything stands in it. */
        boolean isSaid() {
            return cells.stream().anyMatch(ComparedCell::isTested);
        }
    }

    /** Money. */
    public record Amount(double amount, String currency) {
    }

    /**
     * One machine's.
     *
     * @param figure  measured, or reckoned, in canonical units
     * @param said    in words or in the machine's own unit, where it is no figure
     * @param outcome how it was judged, where it was
     * @param there   whether the machine has such a thing
     */
    public record ComparedCell(Optional<Quantity> figure, Optional<Object> said, Optional<Outcome> outcome, boolean there) {

        private static final ComparedCell NOT_THERE = new ComparedCell(Optional.empty(), Optional.empty(), Optional.empty(), false);
        private static final ComparedCell UNTESTED = new ComparedCell(Optional.empty(), Optional.empty(), Optional.empty(), true);

        private static ComparedCell said(Object text) {
            return new ComparedCell(Optional.empty(), Optional.of(text), Optional.empty(), true);
        }

        public boolean isTested() {
            return figure.isPresent() || said.isPresent() || outcome.isPresent();
        }
    }

    /** @throws Refused for one alone, more than four, or one twice */
    public static SideBySide of(List<Survey> surveys, List<Money> money) {
        if (surveys.size() < FEWEST || surveys.size() > MOST) {
            throw Refused.because(VerdictReason.BESIDE_COUNT, surveys.size(), FEWEST, MOST);
        }
        List<ComparedRow> rows = new ArrayList<>(measured(surveys));
        rows.addAll(reckoned(money));
        rows.addAll(described(surveys));
        rows.removeIf(row -> !row.isSaid());
        rows.sort(Comparator.comparing(ComparedRow::part).thenComparing(row -> !row.isTelling())
                .thenComparing(Comparator.comparingDouble(ComparedRow::rank).reversed()));
        List<Integer> untested = IntStream.range(0, surveys.size()).mapToObj(i -> (int) rows.stream()
                .filter(row -> row.part() == Part.TESTED_ON_ONE && row.cells().get(i).there() && !row.cells().get(i).isTested())
                .count()).toList();
        boolean sisters = surveys.stream()
                .map(s -> List.of(s.machine().identity().family(), lower(s.machine().identity().maker()),
                        lower(s.machine().identity().model())))
                .distinct().count() == 1;
        return new SideBySide(List.copyOf(rows), sisters && !surveys.get(0).machine().identity().model().isBlank(), untested);
    }

    private static String lower(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    private static List<ComparedRow> measured(List<Survey> surveys) {
        Map<String, Step> steps = new LinkedHashMap<>();
        surveys.forEach(s -> s.steps().inScope().stream().filter(step -> step.recording().limitRule().isPresent())
                .forEach(step -> steps.putIfAbsent(step.id().written(), step)));
        List<ComparedRow> rows = new ArrayList<>();
        steps.forEach((id, step) -> {
            List<ComparedCell> cells = surveys.stream().map(s -> cell(s, id)).toList();
            rows.add(row(step, cells, surveys.get(0)));
        });
        return rows;
    }

    private static ComparedCell cell(Survey survey, String id) {
        Optional<Step> step = survey.steps().inScope().stream().filter(s -> s.id().written().equals(id)).findFirst();
        return step.map(s -> Optional.ofNullable(survey.steps().latest().get(s.id()))
                .map(r -> new ComparedCell(r.judgement().figure().map(Figure::overStated), Optional.empty(), Optional.of(r.outcome()),
                        true))
                .orElse(ComparedCell.UNTESTED))
                .orElse(ComparedCell.NOT_THERE);
    }

    private static ComparedRow row(Step step, List<ComparedCell> cells, Survey first) {
        boolean open = cells.stream().anyMatch(c -> !c.isTested());
        double workable = step.recording().limit(step.judgedBy(first.rules())).map(GradedLimit::workable).map(BigDecimal::doubleValue)
                .orElse(0.0);
        double rank = 0;
        boolean alike = true;
        for (int i = 0; i < cells.size(); i++) {
            for (int j = i + 1; j < cells.size(); j++) {
                Optional<Quantity> a = cells.get(i).figure;
                Optional<Quantity> b = cells.get(j).figure;
                if (a.isPresent() && b.isPresent()) {
                    double apart = Math.abs(a.get().value().doubleValue() - b.get().value().doubleValue());
                    boolean same = apart <= Math.hypot(a.get().expanded(), b.get().expanded());
                    alike &= same;
                    rank = same || workable == 0 ? rank : Math.max(rank, apart / workable);
                } else {
                    alike &= cells.get(i).outcome.equals(cells.get(j).outcome);
                }
            }
        }
        return new ComparedRow(open ? Part.TESTED_ON_ONE : alike ? Part.ALIKE : Part.MEASURED, step.name(), step.recording()
                .limitPer(first.rules()), cells,
                rank);
    }

    private static List<ComparedRow> reckoned(List<Money> money) {
        return List.of(plain(VerdictReason.BESIDE_ASKED, money, m -> m.stakes().flatMap(s -> s.asking()).map(a -> a.value().doubleValue())),
                plain(VerdictReason.BESIDE_PUT_RIGHT, money, m -> Optional.of(m.putRight().mean())),
                plain(VerdictReason.BESIDE_KIT, money, m -> Optional.of(m.kit())),
                plain(VerdictReason.BESIDE_UNKNOWN, money, m -> Optional.of(m.unknown())),
                of(Reason.of(VerdictReason.BESIDE_OFFER), money.stream().map(SideBySide::offered).toList()),
                of(Reason.of(VerdictReason.BESIDE_KNOWN),
                        money.stream().map(m -> ComparedCell.said(Reason.of(VerdictReason.BESIDE_PERCENT, Math.round(100 * m.known()))))
                                .toList()));
    }

    /** Under half a unit nothing is offered, and a nought is not shown for it. */
    private static final double HALF = 0.5;

    private static ComparedCell offered(Money m) {
        return m.offer().map(o -> o.offer() < HALF ? ComparedCell.said(Reason.of(VerdictReason.BESIDE_NO_OFFER)) : amount(m, o.offer()))
                .orElse(ComparedCell.NOT_THERE);
    }

    private static ComparedCell amount(Money m, double amount) {
        return ComparedCell.said(new Amount(amount, m.stakes().map(Stakes::currency).orElse("")));
    }

    private static ComparedRow plain(VerdictReason name, List<Money> money, Function<Money, Optional<Double>> amount) {
        List<ComparedCell> cells = money.stream().map(m -> amount.apply(m).map(a -> amount(m, a)).orElse(ComparedCell.NOT_THERE)).toList();
        return of(Reason.of(name), cells);
    }

    private static ComparedRow of(Reason name, List<ComparedCell> cells) {
        boolean same = cells.stream().map(c -> c.said.map(SideBySide::compared).orElse("")).distinct().count() == 1
                && cells.stream().map(ComparedCell::there).distinct().count() == 1;
        return new ComparedRow(same ? Part.ALIKE : Part.OTHERWISE, name, Optional.empty(), cells, 0);
    }

    /** Figures are alike however many noughts stand behind them; words as they stand. */
    private static String compared(Object said) {
        return said instanceof BigDecimal n ? n.stripTrailingZeros().toPlainString()
                : said instanceof Quantity q ? compared(q.value()) + q.unit() : said.toString();
    }

    private static ComparedRow texts(VerdictReason name, List<Survey> surveys, Function<Survey, Optional<Object>> text) {
        return of(Reason.of(name),
                surveys.stream()
                        .map(s -> text.apply(s).filter(t -> !t.toString().isBlank()).map(ComparedCell::said).orElse(ComparedCell.NOT_THERE))
                        .toList());
    }

    /** What plate and description say, and what one has and another lacks. */
    private static List<ComparedRow> described(List<Survey> surveys) {
        List<ComparedRow> rows =
                new ArrayList<>(List.of(texts(VerdictReason.BESIDE_YEAR, surveys, s -> Optional.of(s.machine().identity().year())),
                        texts(VerdictReason.BESIDE_POWER, surveys,
                                s -> s.machine().motor().map(m -> Quantity.of(m.kilowatts(), Unit.KILOWATTS))),
                        texts(VerdictReason.BESIDE_SPEEDS, surveys, s -> Optional.of(s.drive().table().counted().size())),
                        texts(VerdictReason.BESIDE_SLOWEST, surveys, s -> nominals(s).findFirst().map(Object.class::cast)),
                        texts(VerdictReason.BESIDE_FASTEST, surveys, s -> nominals(s).reduce((a, b) -> b).map(Object.class::cast))));
        Set<String> axes = new LinkedHashSet<>();
        surveys.forEach(s -> s.machine().fitOut().axes().stream().map(Axis::name).forEach(axes::add));
        axes.forEach(name -> rows.add(of(Reason.of(VerdictReason.BESIDE_TRAVEL, name), surveys.stream()
                .map(s -> s.machine().fitOut().axes().stream().filter(a -> a.name().equals(name)).findFirst()
                        .map(a -> travel(a, s.machine().unit())).orElse(ComparedCell.NOT_THERE))
                .toList())));
        Set<Feature> features = new LinkedHashSet<>();
        surveys.forEach(s -> features.addAll(s.machine().fitOut().features()));
        features.stream().sorted().forEach(f -> rows.add(of(Reason.of(VerdictReason.BESIDE_FEATURE, f), surveys.stream()
                .map(s -> s.machine().fitOut().has(f) ? ComparedCell.said(Reason.of(VerdictReason.BESIDE_HAS)) : ComparedCell.NOT_THERE)
                .toList())));
        return rows;
    }

    /** As a length, so that 20 in and 508 mm are alike. */
    private static ComparedCell travel(Axis axis, LengthUnit unit) {
        if (axis.travel().isBlank()) {
            return ComparedCell.UNTESTED;
        }
        try {
            return ComparedCell.said(Quantity.of(TypedLength.parse(axis.travel(), unit).mm(), Unit.MILLIMETRES));
        } catch (Refused asItStands) {
            return ComparedCell.said(axis.travel());
        }
    }

    private static Stream<BigDecimal> nominals(Survey survey) {
        return survey.drive().table().counted().stream().map(Speed::nominal).flatMap(Optional::stream).sorted();
    }
}
