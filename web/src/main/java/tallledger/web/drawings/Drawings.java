package tallledger.web.drawings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.machine.MachineDescription;
import tallledger.web.library.StoredSurvey;
import tallledger.web.movement.AxisView;
import tallledger.web.runsheet.Picture;
import tallledger.web.runsheet.RecordingPictures;
import tallledger.web.speeds.LatticePlot;
import tallledger.web.speeds.LatticeView;
import tallledger.web.speeds.RayChartView;
import tallledger.web.words.Words;

/** All drawings of a survey, each from the same reckoning as on its screen. */
@Component
public class Drawings {

    private final Words words;

    Drawings(Words words) {
        this.words = words;
    }

    /** In the order of work; no two of one name. */
    public List<ExportedDrawing> of(StoredSurvey survey) {
        List<ExportedDrawing> drawings = new ArrayList<>();
        LatticeView lattice = LatticeView.of(survey.folded(), List.of());
        drawings.add(new ExportedDrawing("lattice", words.say("drawing.lattice"), "pictures/plot",
                LatticePlot.of(lattice, words.say("drawing.lattice-says")), 0));
        RayChartView.of(survey.folded(), List.of()).ifPresent(chart -> drawings.add(new ExportedDrawing("ray-chart",
                words.say("drawing.ray-chart"), "speeds/raychart", chart, 0)));
        axes(survey)
                .forEach(a -> drawings.add(new ExportedDrawing("axis-" + a.name(), words.say("drawing.axis", a.name()), "movement/axis", a,
                        0)));
        results(survey).forEach(p -> drawings.add(new ExportedDrawing("entry-" + p.entry(), p.title(), p.template(), p.view(), p.entry())));
        Map<String, Integer> taken = new HashMap<>();
        return drawings.stream().map(d -> {
            String name = plain(d.name());
            int before = taken.merge(name, 1, Integer::sum);
            return new ExportedDrawing(before == 1 ? name : name + "-" + before, d.title(), d.template(), d.view(), d.entry());
        }).toList();
    }

    public List<AxisView> axes(StoredSurvey survey) {
        MachineDescription machine = survey.folded().machine();
        return machine.fitOut().axes().stream().map(a -> AxisView.of(survey.steps(), a, machine.identity().unit(), words)).toList();
    }

    /** Results that are drawn: rounds, straightness, cycles' time lines and the like. */
    public List<Picture> results(StoredSurvey survey) {
        return survey.steps().steps().stream().flatMap(s -> Optional.ofNullable(survey.steps().latest().get(s.id())).stream())
                .flatMap(r -> RecordingPictures.of(r, survey.rules(), words).stream()).toList();
    }

    /** A name typed by a person goes into no path as it is. */
    private static String plain(String name) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "drawing" : plain;
    }
}
