package tallledger.web.sealed;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.seal.Found;
import tallledger.core.survey.Photo;
import tallledger.web.cache.BoundedCache;
import tallledger.web.imported.ImportedRow;
import tallledger.web.imported.ImportedSurveys;
import tallledger.web.library.StoredSurvey;
import tallledger.web.store.Unfinished;
import tallledger.web.verdict.Reports;

/**
 * Surveys of elsewhere as they are shown. Their bytes never change, so each is unpacked, checked and judged once and kept while there is
 * room.
 */
@Component
class ImportedReadings {

    private static final long MOST = Runtime.getRuntime().maxMemory() / 16;
    /** Bytes in memory of an entry with what is made of it, roughly. */
    private static final long AN_ENTRY = 4_000;

    /**
     * @param model       what its page is made of
     * @param photographs by their hash
     */
    record ImportedPage(Map<String, Object> model, Map<String, ArchiveCheck.Photograph> photographs, long weighs) {
    }

    private final ImportedSurveys handed;
    private final Reports reports;
    private final Unfinished unfinished;
    private final BoundedCache<String, ImportedPage> shown = new BoundedCache<>(MOST, ImportedPage::weighs);

    ImportedReadings(ImportedSurveys handed, Reports reports, Unfinished unfinished) {
        this.handed = handed;
        this.reports = reports;
        this.unfinished = unfinished;
    }

    /**
     * All its page is made of: the survey, what is said of it, its photographs, and what the check of it comes to.
     *
     * @throws tallledger.web.store.UnknownBookException where there is none, or it is not any more what it was
     */
    Map<String, Object> of(String sha256) throws IOException {
        ImportedRow row = handed.listed(sha256);
        Map<String, Object> model = new HashMap<>(shown(sha256).model);
        model.put("row", row);
        return model;
    }

    /** One of its photographs, as a file. @throws tallledger.web.store.UnknownBookException where there is no such survey */
    Optional<ArchiveCheck.Photograph> photograph(String sha256, String photograph) throws IOException {
        handed.listed(sha256);
        return Optional.ofNullable(shown(sha256).photographs.get(photograph));
    }

    private ImportedPage shown(String sha256) throws IOException {
        Optional<ImportedPage> known = shown.get(sha256);
        if (known.isPresent()) {
            return known.get();
        }
        ImportedPage read = read(sha256, handed.handed(sha256).bytes());
        shown.put(sha256, read);
        return read;
    }

    /** It was just kept, and read for that. */
    void kept(String sha256, ImportedPage read) {
        shown.put(sha256, read);
    }

    private ImportedPage read(String sha256, byte[] bytes) throws IOException {
        Path zip = unfinished.file(".zip");
        try {
            Files.write(zip, bytes);
            return read(sha256, zip, ArchiveCheck.check(zip, share -> {}));
        } finally {
            Files.deleteIfExists(zip);
        }
    }

    /**
     * Unpacked and judged.
     *
     * @param sha256  of the zip, under which it is kept
     * @param checked what the check of it came to
     * @throws tallledger.web.store.Unreadable where no description of its machine can be read
     * @throws tallledger.core.reason.Refused where it is larger than can be shown
     */
    ImportedPage read(String sha256, Path zip, Found.CheckedArchive checked) throws IOException {
        StoredSurvey survey = handed.survey(ArchiveCheck.books(zip));
        Map<String, ArchiveCheck.Photograph> photographs = ArchiveCheck.photographs(zip);
        Map<Integer, String> images = new HashMap<>();
        for (Photo photo : survey.core().photos()) {
            if (photographs.containsKey(photo.sha256())) {
                images.put(photo.entry(), "/handed/" + sha256 + "/photos/" + photo.sha256());
            }
        }
        Map<String, Object> model = new HashMap<>(reports.handed(survey));
        model.put("images", images);
        model.put("checked", checked);
        model.put("print", checked.key().orElse(null));
        return new ImportedPage(model, photographs, photographs.values().stream().mapToLong(p -> p.bytes().length).sum()
                + AN_ENTRY * survey.entries().size());
    }
}
