package tallledger.web.drawings;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;

/** Every drawing of a survey on one page, each to take away. */
@Controller
class DrawingsController {

    private final SurveyLibrary library;
    private final Drawings drawings;
    private final DrawingFiles files;

    DrawingsController(SurveyLibrary library, Drawings drawings, DrawingFiles files) {
        this.library = library;
        this.drawings = drawings;
        this.files = files;
    }

    @GetMapping("/surveys/{id}/drawings")
    String show(@PathVariable long id, Model model) {
        StoredSurvey survey = library.survey(id);
        model.addAttribute("survey", survey);
        model.addAttribute("drawings", drawings.of(survey));
        return "drawings/drawings";
    }

    @GetMapping("/surveys/{id}/drawings/{name}.svg")
    ResponseEntity<byte[]> svg(@PathVariable long id, @PathVariable String name) {
        return file(id, name, "svg", MediaType.parseMediaType("image/svg+xml"),
                drawing -> files.svg(drawing).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/surveys/{id}/drawings/{name}.png")
    ResponseEntity<byte[]> png(@PathVariable long id, @PathVariable String name) {
        return file(id, name, "png", MediaType.IMAGE_PNG, files::png);
    }

    private ResponseEntity<byte[]> file(long id, String name, String kind, MediaType type, Function<ExportedDrawing, byte[]> made) {
        Optional<ExportedDrawing> drawing = drawings.of(library.survey(id)).stream().filter(d -> d.name().equals(name)).findFirst();
        return drawing.map(d -> ResponseEntity.ok().contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"survey-" + id + "-" + d.name() + "." + kind + "\"")
                .body(made.apply(d)))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
