package tallledger.web.verdict;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import tallledger.core.coverage.Coverage;
import tallledger.core.ledger.Entry;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.core.survey.Clip;
import tallledger.core.survey.Photo;
import tallledger.core.survey.TaskResult;
import tallledger.core.verdict.ClaimVerdict;
import tallledger.core.verdict.ConditionStatement;
import tallledger.core.verdict.Finding;
import tallledger.web.library.StoredSurvey;

/**
 * The verdict laid out for its pages.
 *
 * @param judged   what it all comes to
 * @param photos   photographs
 * @param clips    short films
 * @param remarks  what people wrote of their own
 * @param seal     what makes it a record
 * @param found    where each finding was found
 */
public record VerdictView(VerdictParts judged, List<Photo> photos, List<Clip> clips, List<Remark> remarks, SealLine seal,
        Map<Finding, FoundAt> found) {

    /** What it all comes to. */
    public record VerdictParts(Coverage.Counts counts, List<Finding> findings, List<ClaimVerdict> claims,
            List<ClaimVerdict.ToldClaims> told,
            ConditionStatement statement) {

        public Map<Reason, List<Finding>> bySystem() {
            return Finding.bySystem(findings);
        }

        /** Claims that what was recorded speaks against. */
        public List<ClaimVerdict> notUpheld() {
            return claims.stream().filter(c -> c.standing() == ClaimVerdict.Standing.SHORT
                    || c.standing() == ClaimVerdict.Standing.CONTRADICTED).toList();
        }
    }

    /**
     * What makes it a record.
     *
     * @param begun   first entry
     * @param ended   last entry
     * @param authors who wrote entries
     * @param whole   whether the chain of entries holds
     * @param hash    last hash, in groups of eight
     * @param key     the key it is sealed with, as words; empty where it is not
     */
    public record SealLine(String begun, String ended, String authors, boolean whole, String hash, String key) {
    }

    /**
     * Where the evidence of a finding is added to: the step it was found at.
     *
     * @param photos of that step
     */
    public record FoundAt(String step, List<Photo> photos) {
    }

    /** A person's remark, under their own name. */
    public record Remark(String author, String step, String text, int entry) {
    }

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMMM yyyy HH:mm", Locale.ENGLISH);

    static VerdictView of(StoredSurvey survey) {
        List<Entry> entries = survey.entries();
        List<Entry> read = entries.stream().filter(e -> e.damage().isEmpty()).toList();
        List<ClaimVerdict> claims = ClaimVerdict.of(survey.core());
        VerdictParts judged = new VerdictParts(survey.folded().coverage().counts(), Finding.of(survey.core()), claims,
                ClaimVerdict.byWhat(claims, survey.folded().machine().unit()), ConditionStatement.of(survey.core()));
        SealLine seal =
                new SealLine(read.isEmpty() ? "?" : time(read.get(0).at()), read.isEmpty() ? "?" : time(read.get(read.size() - 1).at()),
                        String.join(", ", read.stream().map(e -> e.by().author().written()).distinct().toList()), survey.broken().isEmpty(),
                        entries.get(entries.size() - 1).hash().replaceAll("(.{8})(?=.)", "$1 "),
                        survey.core().closed().filter(c -> survey.broken().isEmpty())
                                .flatMap(c -> c.payload().optionalText("key")).flatMap(Fingerprint::read).map(Fingerprint::words)
                                .orElse(""));
        return new VerdictView(judged, survey.core().photos(), survey.core().clips(), remarks(survey), seal,
                foundAt(survey, judged.findings));
    }

    private static Map<Finding, FoundAt> foundAt(StoredSurvey survey, List<Finding> findings) {
        Map<Integer, String> steps = survey.core().made().stream().collect(Collectors.toMap(TaskResult::entry, m -> m.task().key(),
                (a, b) -> a));
        Map<Finding, FoundAt> found = new HashMap<>();
        findings.forEach(f -> f.entries().stream().map(steps::get).filter(Objects::nonNull).findFirst()
                .ifPresent(step -> found.put(f, new FoundAt(step, survey.core().photosOf(step)))));
        return found;
    }

    /** Remarks of their own, and those written beside a run. */
    private static List<Remark> remarks(StoredSurvey survey) {
        return survey.core().decoded().counting().filter(h -> !h.event().remark().isEmpty())
                .map(h -> new Remark(h.entry().by().author().written(), h.entry().step(), h.event().remark(), h.entry().sequence()))
                .toList();
    }

    static String time(Instant at) {
        return TIME.format(at.atZone(ZoneId.systemDefault()));
    }
}
