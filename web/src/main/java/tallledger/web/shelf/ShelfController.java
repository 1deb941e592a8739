package tallledger.web.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import tallledger.core.coverage.Coverage;
import tallledger.core.ledger.Chain;
import tallledger.core.verdict.Finding;
import tallledger.web.record.Machine;
import tallledger.web.record.Shelves;
import tallledger.web.record.Survey;

/** The Shelf: the shortlist, tallest first by what is known. */
@Controller
class ShelfController {

    /**
     * One line.
     *
     * @param counts  coverage of the newest survey
     * @param worst   its worst finding
     * @param known   speeds proven, failed or inferred, and steps done or spared
     * @param all     of so many speeds and steps
     * @param steps   steps done
     */
    public record Line(Machine machine, Optional<Survey> survey, Optional<Coverage.Counts> counts, Optional<Finding> worst,
                       int findings, int known, int all, int steps) {

        static Line of(Machine machine, List<Survey> surveys) {
            Optional<Survey> newest = surveys.stream().findFirst();
            Optional<Coverage.Counts> counts = newest.map(s -> s.folded().coverage().counts());
            List<Finding> findings = newest.map(s -> Finding.of(s.core())).orElse(List.of());
            int speeds = counts.map(c -> c.proven() + c.failed() + c.inferred()).orElse(0);
            int steps = newest.map(s -> s.steps().latest().size()).orElse(0);
            int spared = newest.map(s -> (int) s.steps().inScope().stream().filter(s.steps()::isSpared).count()).orElse(0);
            int all = counts.map(Coverage.Counts::all).orElse(0) + newest.map(s -> s.steps().inScope().size()).orElse(0);
            return new Line(machine, newest, counts, findings.stream().findFirst(), findings.size(), speeds + steps + spared, all, steps);
        }

        /** Where the machine's record, or its newest survey's, is not what was written. */
        public Optional<Chain.Break> broken() {
            return machine.broken().or(() -> survey.flatMap(Survey::broken));
        }

        /** Of two equally known, the one somebody ran more of comes first. */
        double runShare() {
            return counts.map(c -> (double) c.run() / c.all()).orElse(-1.0);
        }

        double share() {
            return all == 0 ? -1.0 : (double) known / all;
        }
    }

    private final Shelves shelves;

    ShelfController(Shelves shelves) {
        this.shelves = shelves;
    }

    @GetMapping("/")
    String shelf(Model model) {
        List<Shelves.Place> all = shelves.everything();
        List<Line> lines = all.stream().filter(p -> p.machine().isPresent()).map(p -> Line.of(p.machine().get(), p.surveys()))
                .sorted(Comparator.comparing(Line::share).reversed().thenComparing(Comparator.comparing(Line::runShare).reversed()).thenComparing(line -> line.machine().name())).toList();
        model.addAttribute("lines", lines);
        model.addAttribute("unreadable", all.stream().filter(p -> p.unreadable().isPresent()).toList());
        return "shelf/shelf";
    }
}
