package tallledger.web.entries;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Grade;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.FilmMoment;
import tallledger.core.ledger.SentLater;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Films;
import tallledger.core.survey.JudgedThen;
import tallledger.core.survey.Kind;
import tallledger.core.survey.Recording;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.WorkEvent;
import tallledger.web.library.StoredSurvey;
import tallledger.web.runsheet.Picture;
import tallledger.web.runsheet.RecordingPictures;
import tallledger.web.words.Words;

/**
 * One entry as a line of the ledger.
 *
 * @param sequence  its number
 * @param time      local time, and that in a film of the visit
 * @param author    who wrote it
 * @param kind      in words
 * @param step      which step
 * @param says      its content in words
 * @param struckBy  number of the entry that strikes it, 0 for none
 * @param strikable whether it may be struck now
 * @param hash      its hash
 * @param stray     why it counts as nothing; empty where it counts
 * @param then      how it was judged when it was written, where by what holds now it is something else; else empty
 * @param picture   of a long row of readings, which says more than its figures; empty for all others
 * @param seen      where in a film; empty for one made at the machine
 * @param sound     whether it is a recording that can be played
 */
public record EntryLine(int sequence, String time, String author, String kind, String step, String says, int struckBy,
        boolean strikable, String hash, String stray, String then, Optional<Picture> picture, Optional<FilmMoment> seen, boolean sound) {

    /** Less than this a device's clock may be off, s, and nothing is said of it. */
    private static final int CLOCK_OFF = 60;
    private static final double A_MINUTE = 60;
    private static final int LONGEST_RAW = 300;
    /** A row of readings longer than this is folded: its beginning stands, the whole is behind one key. */
    private static final int LONGEST_OPEN = 260;
    private static final int BEGINNING = 160;
    private static final Pattern FIGURE = Pattern.compile("(?<![\\w.])\\d");
    private static final DateTimeFormatter ELSEWHERE = DateTimeFormatter.ofPattern("d MMM HH:mm:ss z", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm:ss", Locale.ENGLISH);

    public boolean isLong() {
        return isLong(says);
    }

    private static boolean isLong(String says) {
        return says.length() > LONGEST_OPEN;
    }

    /** What it begins with, cut between two words. */
    public String beginning() {
        int blank = says.lastIndexOf(' ', BEGINNING);
        return says.substring(0, blank > 0 ? blank : BEGINNING) + " …";
    }

    /** How many figures stand in it. */
    public long figures() {
        return FIGURE.matcher(says).results().count();
    }

    public static List<EntryLine> of(StoredSurvey survey, List<Entry> entries, Words words) {
        Map<Integer, Entry> struck = survey.core().struck();
        Map<Integer, Reason> strays = survey.strays();
        Map<Integer, String> otherwise = judgedOtherwise(survey, words);
        Map<Integer, StepResult> steps = survey.steps().all().stream().collect(Collectors.toMap(StepResult::entry, r -> r, (a, b) -> b));
        Films films = Films.of(survey.entries(), struck.keySet());
        Set<Integer> recorded = survey.core().recordings().stream().map(Recording::entry).collect(Collectors.toSet());
        List<EntryLine> lines = new ArrayList<>();
        boolean open = survey.core().closed().isEmpty();
        for (Entry entry : entries) {
            Optional<Kind> kind = Kind.named(entry.kind());
            int by = struck.containsKey(entry.sequence()) ? struck.get(entry.sequence()).sequence() : 0;
            String stray = Optional.ofNullable(strays.get(entry.sequence())).map(words::say).orElse("");
            String says = text(survey, entry, words) + from(entry, words);
            lines.add(new EntryLine(entry.sequence(), entry.damage().isPresent() ? "?"
                    : time(entry) + films.at(entry)
                            .map(f -> words.say("entry.in-film", f.film(), f.shown())).orElse(""),
                    entry.by().author().written(),
                    kind.map(words::of).orElse(entry.kind()), stepName(survey, entry, words), says, by,
                    open && by == 0 && kind.map(Kind::canBeStruck).orElse(true), entry.hash(), stray,
                    Optional.ofNullable(otherwise.get(entry.sequence())).orElse(""),
                    Optional.ofNullable(steps.get(entry.sequence())).filter(r -> isLong(says))
                            .flatMap(r -> RecordingPictures.of(r, survey.rules(), words)),
                    FilmMoment.of(entry), recorded.contains(entry.sequence())));
        }
        return lines;
    }

    /** By the clock of the place where it was written; of another place than this one, its zone is said. */
    private static String time(Entry entry) {
        boolean here = entry.format() == 1 || entry.by().there().getOffset().equals(entry.at().atZone(ZoneId.systemDefault()).getOffset());
        return here ? TIME.format(entry.at().atZone(ZoneId.systemDefault()))
                : ELSEWHERE.format(entry.by().there());
    }

    /** Entries whose judgement when they were written differs from that by what holds now, with both in words. */
    private static Map<Integer, String> judgedOtherwise(StoredSurvey survey, Words words) {
        Map<Integer, String> all = new HashMap<>();
        survey.core().made().forEach(m -> m.otherwiseThen()
                .ifPresent(then -> all.put(m.entry(), both(then, m.outcome(), m.grade(), words))));
        return all;
    }

    private static String both(JudgedThen then, Outcome now, Optional<Grade> grade, Words words) {
        return words.say("entry.judged-otherwise", called(then.outcome(), then.grade(), words), joined(then.because(), words),
                called(now, grade, words));
    }

    private static String called(Outcome outcome, Optional<Grade> grade, Words words) {
        return words.of(outcome) + grade.map(g -> ", " + words.of(g)).orElse("");
    }

    /** What it says in words; of one that cannot be read, what is stored. */
    private static String text(StoredSurvey survey, Entry entry, Words words) {
        EntryWords said = new EntryWords(words, survey.core());
        return survey.core().decoded().event(entry.sequence()).map(event -> event.accept(said, entry)).orElseGet(() -> raw(entry));
    }

    /** What was typed in from paper, came in a table, or was kept on a device says so. */
    private static String from(Entry entry, Words words) {
        Optional<SentLater> later = SentLater.of(entry);
        if (later.isPresent()) {
            return "; " + words.say("entry.sent-later", TIME.format(later.get().received().atZone(ZoneId.systemDefault())))
                    + words.say("entry.clock-off",
                            later.get().fast().abs().toSeconds() < CLOCK_OFF ? 0
                                    : later.get().fast().isNegative() ? 1
                                            : 2,
                            Math.round(later.get().fast().abs().toSeconds() / A_MINUTE));
        }
        if (entry.damage().isEmpty() && entry.draft().payload().get("paper") instanceof Map<?, ?> paper) {
            return "; " + words.say("entry.on-paper", paper.get("line"), String.valueOf(paper.get("visit")));
        }
        return entry.damage().isEmpty() && entry.draft().payload().get("table") instanceof Map<?, ?> table ? "; "
                + words.say("entry.of-table", String.valueOf(table.get("file")), table.get("line")) : "";
    }

    private static String raw(Entry entry) {
        String stored = String.valueOf(entry.draft().payload());
        return stored.length() > LONGEST_RAW ? stored.substring(0, LONGEST_RAW) + "…" : stored;
    }

    /** A step by its name, a system by its words; a run by its settings. */
    private static String stepName(StoredSurvey survey, Entry entry, Words words) {
        return survey.steps().step(entry.step()).map(s -> words.say(s.name()))
                .or(() -> survey.core().decoded().event(entry.sequence()).filter(WorkEvent.Repaired.class::isInstance)
                        .map(WorkEvent.Repaired.class::cast)
                        .flatMap(repaired -> repaired.part().system())
                        .map(system -> words.say(system.words(survey.core().machine().fitOut()))))
                .or(() -> survey.core().decoded().event(entry.sequence()).filter(WorkEvent.Checked.class::isInstance)
                        .map(WorkEvent.Checked.class::cast).map(checked -> words.say("step.check-" + checked.check().name())))
                .or(() -> survey.core().machine().train().routeByKey(entry.step()).map(survey.core().machine().train()::name))
                .orElse(entry.step());
    }

    private static String joined(List<Reason> because, Words words) {
        return because.stream().map(words::kept).collect(Collectors.joining(" "));
    }
}
