package tallledger.web.demo;

import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import tallledger.core.drive.Route;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.practice.SimulatedSound;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;

/** Sounds of the demo's own machines, made when they are asked for, to try a recording without a microphone. */
@Controller
class ExampleSound {

    private static final long SEED = 410;

    private final SurveyLibrary library;
    private final boolean demo;

    ExampleSound(SurveyLibrary library, @Value("${tallledger.demo:false}") boolean demo) {
        this.library = library;
        this.demo = demo;
    }

    /** @param task key of a speed; empty for the room */
    @GetMapping("/surveys/{id}/sounds/example.wav")
    ResponseEntity<byte[]> example(@PathVariable long id, @RequestParam(defaultValue = "") String task) {
        StoredSurvey survey = library.survey(id);
        Optional<SimulatedMachine> machine = demo ? KestrelVale.shortlist().stream()
                .filter(m -> m.description().identity().maker().equals(survey.core().machine().identity().maker())
                        && m.description().identity().model().equals(survey.core().machine().identity().model()))
                .findFirst()
                : Optional.empty();
        Optional<Route> route = machine.flatMap(m -> m.description().train().routeByKey(task));
        return machine.filter(m -> task.isEmpty() || route.isPresent()).map(m -> {
            byte[] wav = route.map(r -> SimulatedSound.usual().of(m, r, m.trueSpeed(r), SEED))
                    .orElseGet(() -> SimulatedSound.usual().ofRoom(SEED));
            return ResponseEntity.ok().contentType(MediaType.parseMediaType("audio/wav"))
                    .header(HttpHeaders.CONTENT_DISPOSITION,
                            "attachment; filename=\"simulated-" + (task.isEmpty() ? "room" : task) + ".wav\"")
                    .body(wav);
        }).orElseGet(() -> ResponseEntity.notFound().build());
    }
}
