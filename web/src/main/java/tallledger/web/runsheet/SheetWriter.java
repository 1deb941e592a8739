package tallledger.web.runsheet;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.SurveyWriter;
import tallledger.web.library.StoredSurvey;

/** Writes what a form of the run sheet says; whatever goes wrong, the sheet comes back at the same step. */
@Component
class SheetWriter {

    private final SurveyWriter writer;
    private final SheetPage page;

    SheetWriter(SurveyWriter writer, SheetPage page) {
        this.writer = writer;
        this.page = page;
    }

    String write(StoredSurvey survey, FormInput typed, Model model, HttpServletResponse response, Supplier<Optional<Draft>> read) {
        return writer.write(survey, typed, response, read,
                (now, said, submission) -> page.show(now, Optional.of(said.get("step")), Optional.empty(), said, submission, model),
                entry -> next(survey, entry, typed));
    }

    /** On to the next step; back to the same one after what belongs to it and does not finish it. */
    private static String next(StoredSurvey survey, Entry entry, FormInput typed) {
        String stay = typed.get("stay").equals("yes") ? "step=" + URLEncoder.encode(typed.get("step"), StandardCharsets.UTF_8) + "&" : "";
        return "redirect:/surveys/" + survey.id() + "/run?" + stay + "done=" + entry.sequence();
    }
}
