package tallledger.web.speeds;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tallledger.core.blame.Blame;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.Symptom;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.survey.Run;
import tallledger.core.survey.SpindleSurvey;
import tallledger.web.words.Figures;
import tallledger.web.words.Marks;

/**
 * The lattice of lever positions: the last lever across, the others down, and once more for each other direction that was run.
 *
 * @param across  name of the lever across
 * @param columns its positions
 * @param rows    one a combination of the other levers
 */
public record LatticeView(String across, List<String> columns, List<LatticeRow> rows) {

    /** One row of the lattice. */
    public record LatticeRow(String label, List<LatticeCell> cells) {
    }

    /**
     * One combination.
     *
     * @param gives   whether it gives a speed at all
     * @param key     its route, for the way to its step
     * @param plate   plate value or "?", then what its levers come to in brackets
     * @param reading what was read
     * @param off     deviation
     * @param mark    stroke
     * @param reverse what was read in reverse, where it was run
     * @param symptoms what was heard, seen or felt
     * @param lit      whether a suspect lies on its route
     */
    public record LatticeCell(String name, boolean gives, String key, String plate, String reading, String off, String mark, String reverse,
            Set<Symptom> symptoms, boolean lit) {
    }

    public static LatticeView of(SpindleSurvey survey, List<Blame.Suspect> lit) {
        SpeedPlate plate = survey.table().plate();
        List<List<String>> keys = SpeedPlate.keysOf(plate.levers());
        int last = plate.levers().size() - 1;
        List<String> columns = last < 0 ? List.of("") : plate.levers().get(last).positions();
        List<LatticeRow> rows = new ArrayList<>();
        for (int r = 0; r < keys.size() / columns.size(); r++) {
            List<LatticeCell> cells = new ArrayList<>();
            for (int c = 0; c < columns.size(); c++) {
                cells.add(cell(survey, keys.get(r * columns.size() + c), lit));
            }
            List<String> key = keys.get(r * columns.size());
            rows.add(new LatticeRow(String.join(" · ", key.subList(0, Math.max(0, last))), cells));
        }
        return new LatticeView(last < 0 ? "" : plate.levers().get(last).name(), columns, rows);
    }

    private static LatticeCell cell(SpindleSurvey survey, List<String> key, List<Blame.Suspect> lit) {
        DriveTrain train = survey.machine().train();
        PlateCell plate = survey.table().plate().cell(key);
        Optional<Route> route = route(survey, key, false);
        if (plate instanceof PlateCell.NoSpeed || route.isEmpty()) {
            return new LatticeCell(String.join(" ", key), false, "", "", "", "", "open", "", Set.of(), false);
        }
        Optional<Run> run = Optional.ofNullable(survey.latest().get(route.get()));
        String stroke = strokeOf(survey, key, route.get());
        String reverse = route(survey, key, true).map(survey.latest()::get).map(LatticeView::reading).orElse("");
        return new LatticeCell(train.name(route.get()), true, route.get().key(), plateText(plate, survey.table().nominal(route.get())),
                run.map(LatticeView::reading).orElse(""), run.flatMap(Run::deviation).map(Figures::percent).orElse(""), stroke, reverse,
                run.map(r -> r.record().symptoms()).orElse(Set.of()),
                lit.stream().anyMatch(s -> route.get().at(s.element().stage()) == s.element().position()
                        && survey.elements().isChoice(s.element())));
    }

    /** The worst that any run of this cell showed, either way round; else what is known of it without a run here. */
    private static String strokeOf(SpindleSurvey survey, List<String> key, Route forward) {
        return survey.latest().values().stream().filter(r -> survey.machine().train().plateKey(r.route()).equals(key))
                .map(Run::outcome).min(java.util.Comparator.comparing(o -> List.of(Outcome.FAILED, Outcome.PROVEN, Outcome.UNDECIDED)
                        .indexOf(o)))
                .map(new Marks()::of)
                .orElseGet(() -> survey.passed().containsKey(forward) ? "passed" : new Marks().of(survey.coverage().mark(forward)));
    }

    /** What the plate shows; of a corrected cell what it means and what it shows, of one that cannot be read what it comes to. */
    private static String plateText(PlateCell plate, Optional<BigDecimal> nominal) {
        if (plate instanceof PlateCell.Corrected corrected) {
            return Figures.plain(corrected.means().value()) + " (shows " + Figures.plain(corrected.shown().value()) + ")";
        }
        return plate.value().map(Figures::plain).or(() -> nominal.map(n -> "? (" + Figures.plain(n) + ")")).orElse("?");
    }

    private static String reading(Run run) {
        return run.record().reading().map(r -> Figures.plain(r.rpm())).orElse(run.record().symptoms().isEmpty() ? "not read" : "");
    }

    private static Optional<Route> route(SpindleSurvey survey, List<String> key, boolean reverse) {
        DriveTrain train = survey.machine().train();
        return survey.table().speeds().stream().flatMap(s -> s.routes().stream())
                .filter(r -> train.plateKey(r).equals(key) && train.isReverse(r) == reverse).findFirst();
    }
}
