package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartFile;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.finish.TraceFile;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.survey.StepResult;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;

/** Traces of a surface in files: read into the form of a step, where nothing is recorded yet; taken away from what was recorded. */
@Controller
class TraceController {

    /** A file of 60 000 points has some megabytes. */
    private static final long MOST = 15L * 1024 * 1024;

    private final SurveyLibrary library;
    private final SheetPage page;

    TraceController(SurveyLibrary library, SheetPage page) {
        this.library = library;
        this.page = page;
    }

    /** The form comes back as it was, with what the file holds typed into it. */
    @PostMapping("/surveys/{id}/trace")
    String read(@PathVariable long id, @RequestParam MultiValueMap<String, String> fields, @RequestParam Optional<MultipartFile> file,
            Model model, HttpServletResponse response) {
        StoredSurvey survey = library.survey(id);
        FormInput typed = FormInput.of(fields);
        Optional<TraceFile.TypedTrace> read = typed.attempt("file", () -> TraceFile.read(bytes(file)));
        read.ifPresent(trace -> {
            typed.set("ra", "");
            boolean inches = survey.folded().machine().unit() == LengthUnit.INCH;
            String spacing = inches ? FieldUnit.LENGTH.retyped(trace.spacing()) : trace.spacing() + " mm";
            typed.set("spacing", trace.spacing().isEmpty() ? typed.get("spacing") : spacing);
            typed.set("trace", inches ? FieldUnit.ROUGHNESS.retyped(trace.heights()) : trace.heights());
        });
        if (read.isEmpty()) {
            response.setStatus(422);
        }
        model.addAttribute("fromFile", read.isPresent() ? Reason.of(WebReason.TRACE_READ) : null);
        return page.show(survey, Optional.of(typed.get("step")), Optional.empty(), typed,
                new Submission(typed.get("submission"), typed.wholeOr("seen", survey.head())), model);
    }

    private static byte[] bytes(Optional<MultipartFile> file) {
        if (file.isEmpty() || file.get().isEmpty()) {
            throw Refused.because(WebReason.TRACE_NONE);
        }
        if (file.get().getSize() > MOST) {
            throw new MaxUploadSizeExceededException(MOST);
        }
        try {
            return file.get().getBytes();
        } catch (IOException broken) {
            throw Refused.because(WebReason.TRACE_NONE);
        }
    }

    @GetMapping("/surveys/{id}/traces/{entry}.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id, @PathVariable int entry) {
        return file(id, entry, ".csv", new MediaType("text", "csv"), (trace, result) -> TraceFile.csv(trace.profile()));
    }

    @GetMapping("/surveys/{id}/traces/{entry}.x3p")
    ResponseEntity<byte[]> profile(@PathVariable long id, @PathVariable int entry) {
        return file(id, entry, ".x3p", MediaType.APPLICATION_OCTET_STREAM,
                (trace, result) -> TraceFile.profile(trace.profile(), result.at().toString(), result.author()));
    }

    private ResponseEntity<byte[]> file(long id, int entry, String ending, MediaType type,
            BiFunction<SurfaceFinish.Traced, StepResult, byte[]> written) {
        Optional<StepResult> result = library.survey(id).steps().all().stream().filter(r -> r.entry() == entry).findFirst();
        return result.flatMap(r -> r.as(SurfaceFinish.FinishRead.class)).flatMap(SurfaceFinish.FinishRead::trace)
                .map(trace -> ResponseEntity.ok().contentType(type)
                        .header("Content-Disposition", ContentDisposition.attachment().filename("trace-" + id + "-" + entry + ending)
                                .build().toString())
                        .body(written.apply(trace, result.orElseThrow())))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
