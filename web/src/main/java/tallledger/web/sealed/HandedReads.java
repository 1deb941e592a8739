package tallledger.web.sealed;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import tallledger.core.seal.Found;
import tallledger.core.survey.Photo;
import tallledger.web.record.HandedRow;
import tallledger.web.record.HandedShelf;
import tallledger.web.record.Recent;
import tallledger.web.record.Survey;
import tallledger.web.record.Unfinished;
import tallledger.web.verdict.Reports;

/**
 * Surveys of elsewhere as they are shown. Their bytes never change, so each is unpacked, checked and judged once and kept while there is
 * room.
 */
@Component
class HandedReads {

    private static final long MOST = Runtime.getRuntime().maxMemory() / 16;
    /** Bytes in memory of an entry with what is made of it, roughly. */
    private static final long AN_ENTRY = 4_000;

    /** @param model what its page is made of */
    record Shown(Map<String, Object> model, long weighs) {
    }

    private final HandedShelf handed;
    private final Reports reports;
    private final Unfinished unfinished;
    private final Recent<String, Shown> shown = new Recent<>(MOST, Shown::weighs);

    HandedReads(HandedShelf handed, Reports reports, Unfinished unfinished) {
        this.handed = handed;
        this.reports = reports;
        this.unfinished = unfinished;
    }

    /**
     * All its page is made of: the survey, what is said of it, its photographs, and what the check of it comes to.
     *
     * @throws tallledger.web.record.NoSuchBook where there is none, or it is not any more what it was
     */
    Map<String, Object> of(String sha256) throws IOException {
        HandedRow row = handed.listed(sha256);
        Shown known = shown.get(sha256).orElse(null);
        if (known == null) {
            known = read(handed.handed(sha256).bytes());
            shown.put(sha256, known);
        }
        Map<String, Object> model = new HashMap<>(known.model);
        model.put("row", row);
        return model;
    }

    /** It was just kept, and read for that. */
    void kept(String sha256, Shown read) {
        shown.put(sha256, read);
    }

    private Shown read(byte[] bytes) throws IOException {
        Path zip = unfinished.file(".zip");
        try {
            Files.write(zip, bytes);
            return read(zip, HandedOver.check(zip, share -> { }));
        } finally {
            Files.deleteIfExists(zip);
        }
    }

    /**
     * Unpacked and judged.
     *
     * @param checked what the check of it came to
     * @throws tallledger.web.record.Unreadable where no description of its machine can be read
     * @throws tallledger.core.reason.Refused where it is larger than can be shown
     */
    Shown read(Path zip, Found.Checked checked) throws IOException {
        Survey survey = handed.survey(HandedOver.books(zip));
        Map<String, String> photographs = HandedOver.photographs(zip);
        Map<Integer, String> images = new HashMap<>();
        for (Photo photo : survey.core().photos()) {
            if (photographs.containsKey(photo.sha256())) {
                images.put(photo.entry(), photographs.get(photo.sha256()));
            }
        }
        Map<String, Object> model = new HashMap<>(reports.handed(survey));
        model.put("images", images);
        model.put("checked", checked);
        model.put("print", checked.seal().map(s -> s.fingerprint()).orElse(null));
        return new Shown(model, photographs.values().stream().mapToLong(String::length).sum() + AN_ENTRY * survey.entries().size());
    }
}
