package tallledger.web.entries;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.School;
import tallledger.core.coverage.ShiftFeel;
import tallledger.core.coverage.Symptom;
import tallledger.core.gauge.Grade;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.reason.Reason;
import tallledger.core.reading.Method;
import tallledger.core.safety.Mounted;
import tallledger.core.machine.FitOut;
import tallledger.core.survey.DriveCheck;
import tallledger.core.survey.JudgedThen;
import tallledger.core.survey.Kind;
import tallledger.web.record.Survey;
import tallledger.core.survey.Systems;
import tallledger.web.words.Words;

/**
 * One entry as a line of the ledger.
 *
 * @param sequence  its number
 * @param time      local time
 * @param author    who wrote it
 * @param kind      in words
 * @param step      which step
 * @param says      its content in words
 * @param struckBy  number of the entry that strikes it, 0 for none
 * @param strikable whether it may be struck now
 * @param hash      its hash
 * @param stray     why it counts as nothing; empty where it counts
 * @param then      how it was judged when it was written, where by what holds now it is something else; else empty
 */
public record EntryLine(int sequence, String time, String author, String kind, String step, String says, int struckBy,
                        boolean strikable, String hash, String stray, String then) {

    private static final int LONGEST_RAW = 300;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm:ss", Locale.ENGLISH);

    /** Newest first. */
    static List<EntryLine> of(Survey survey, Words words) {
        Map<Integer, Entry> struck = survey.folded().struck();
        Map<Integer, Reason> strays = survey.strays();
        Map<Integer, String> otherwise = judgedOtherwise(survey, words);
        List<EntryLine> lines = new ArrayList<>();
        for (Entry entry : survey.entries()) {
            Optional<Kind> kind = Kind.named(entry.kind());
            int by = struck.containsKey(entry.sequence()) ? struck.get(entry.sequence()).sequence() : 0;
            String stray = Optional.ofNullable(strays.get(entry.sequence())).map(words::say).orElse("");
            lines.add(new EntryLine(entry.sequence(), entry.damage().isPresent() ? "?" : time(entry), entry.by().author().written(),
                    kind.map(words::of).orElse(entry.kind()), stepName(survey, entry, words), text(entry, kind, survey.folded().machine().fitOut(), words), by,
                    by == 0 && kind.map(Kind::canBeStruck).orElse(true), entry.hash(), stray, Optional.ofNullable(otherwise.get(entry.sequence())).orElse("")));
        }
        Collections.reverse(lines);
        return lines;
    }

    /** By the clock of the place where it was written; of another place than this one, its zone is said. */
    private static String time(Entry entry) {
        boolean here = entry.format() == 1 || entry.by().there().getOffset().equals(entry.at().atZone(ZoneId.systemDefault()).getOffset());
        return here ? TIME.format(entry.at().atZone(ZoneId.systemDefault()))
                : TIME.format(entry.by().there()) + " " + entry.by().zone().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
    }

    /** Entries whose judgement when they were written differs from that by what holds now, with both in words. */
    private static Map<Integer, String> judgedOtherwise(Survey survey, Words words) {
        Map<Integer, String> all = new HashMap<>();
        survey.steps().all().forEach(r -> r.otherwiseThen().ifPresent(then -> all.put(r.entry(), both(then, r.outcome(), r.judgement().grade(), words))));
        survey.folded().runs().forEach(r -> r.otherwiseThen().ifPresent(then -> all.put(r.entry(), both(then, r.outcome(), Optional.empty(), words))));
        return all;
    }

    private static String both(JudgedThen then, Outcome now, Optional<Grade> grade, Words words) {
        return words.say("entry.judged-otherwise", called(then.outcome(), then.grade(), words), then.because(), called(now, grade, words));
    }

    private static String called(Outcome outcome, Optional<Grade> grade, Words words) {
        return words.of(outcome) + grade.map(g -> ", " + words.of(g)).orElse("");
    }

    /** What it says in words; of one that cannot be read, what is stored. */
    private static String text(Entry entry, Optional<Kind> kind, FitOut fitOut, Words words) {
        try {
            return entry.damage().isEmpty() && kind.isPresent() ? says(entry, kind.get(), fitOut, words) : raw(entry);
        } catch (RuntimeException unread) {
            return raw(entry);
        }
    }

    private static String raw(Entry entry) {
        String stored = String.valueOf(entry.draft().payload());
        return stored.length() > LONGEST_RAW ? stored.substring(0, LONGEST_RAW) + "…" : stored;
    }

    /** A step by its name, a system by its words; a run by its settings. */
    private static String stepName(Survey survey, Entry entry, Words words) {
        return survey.steps().step(entry.step()).map(s -> words.say(s.name()))
                .orElseGet(() -> entry.payload().has("system") ? words.say(Systems.named(entry.step(), survey.folded().machine().fitOut())) : entry.step());
    }

    private static String says(Entry entry, Kind kind, FitOut fitOut, Words words) {
        Payload p = entry.payload();
        return switch (kind) {
            case OPENED -> words.say("entry.opened", p.whole("machineVersion"), p.optionalText("role").orElse(entry.by().author().role()));
            case DESCRIPTION_ADOPTED -> words.say("entry.adopted", p.whole("machineVersion"));
            case START_CONFIRMED -> words.say("entry.start", p.texts("items").size()) + mounted(p, words);
            case STOPPED -> words.say("entry.stopped");
            case PLAN_CHOSEN -> words.say("entry.plan", School.valueOf(p.text("school")), p.text("minutes").isEmpty() ? 0 : 1, p.text("minutes"));
            case CHECK -> words.say(p.flag("good") ? "entry.check-good" : "entry.check-bad", DriveCheck.valueOf(p.text("check")),
                    p.text("seconds").isEmpty() ? 0 : 1, p.text("seconds"), p.text("remark"));
            case REPAIRED -> p.has("system") ? words.say("entry.system-repaired", words.say(Systems.named(p.text("system"), fitOut)), p.text("what"))
                    : words.say("entry.repaired", p.text("stage"), p.text("label"), p.text("what"));
            case STEP -> step(p, words);
            case LATER -> words.say("entry.later");
            case KIT -> kit(KitItem.from(p), words);
            case LIFT -> words.say(Lift.from(p).says());
            case PHOTO -> words.say("entry.photo", p.text("caption"), p.whole("width"), p.whole("height"), p.text("sha256").substring(0, 8));
            case RUN -> run(p, words);
            case PASSED_OVER -> p.text("reason");
            case REMARK -> p.text("text");
            case STRIKE -> words.say("entry.strike", entry.draft().strikes().orElseThrow(), p.text("reason"));
        };
    }

    /** What was typed, field by field, and what the surveyor said of it. */
    private static String step(Payload p, Words words) {
        List<String> parts = new ArrayList<>();
        if (p.flag("flagged")) {
            parts.add(words.say("entry.not-right"));
        } else if (p.part("values").fields().isEmpty()) {
            parts.add(words.say("entry.right"));
        }
        new java.util.TreeMap<>(p.part("values").fields()).forEach((field, value) -> {
            if (!String.valueOf(value).isBlank()) {
                parts.add(words.say("field." + field) + " " + String.valueOf(value).strip().replaceAll("\\R+", ", "));
            }
        });
        parts.add(p.text("remark"));
        return parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining("; "));
    }

    private static String mounted(Payload p, Words words) {
        if (!p.has("mounted")) {
            return "";
        }
        Payload m = p.part("mounted");
        List<String> parts = new ArrayList<>(List.of(words.of(Mounted.Kind.valueOf(m.text("kind")))));
        parts.add(m.text("diameter").isEmpty() ? "" : words.say("entry.mounted-diameter", m.text("diameter")));
        parts.add(m.text("markedRpm").isEmpty() ? "" : words.say("entry.mounted-rpm", m.text("markedRpm")));
        parts.add(m.text("markedMs").isEmpty() ? "" : words.say("entry.mounted-ms", m.text("markedMs")));
        parts.add(m.text("askedOf").isEmpty() ? "" : words.say("entry.mounted-asked", m.text("askedOf")));
        return "; " + words.say("entry.mounted", parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining(", ")));
    }

    private static String kit(KitItem item, Words words) {
        List<String> parts = new ArrayList<>(List.of(item.name() + ": " + words.of(item.state())));
        if (item.isPromised()) {
            parts.add(words.say("entry.kit-promised", item.promised()));
        }
        item.cost().ifPresent(c -> parts.add(words.say("entry.kit-cost", c)));
        item.until().ifPresent(u -> parts.add(words.say("entry.kit-until", u.toString())));
        parts.add(item.note());
        return parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining("; "));
    }

    private static String run(Payload p, Words words) {
        List<String> parts = new ArrayList<>();
        p.optionalText("reading").ifPresent(r -> parts.add(words.say("entry.read", r, Method.valueOf(p.text("method")))
                + p.optionalText("marks").map(m -> " " + words.say("entry.marks", m)).orElse("")));
        p.optionalText("turns").ifPresent(t -> parts.add(words.say("entry.taps", t, p.text("seconds"))));
        if (parts.isEmpty()) {
            parts.add(words.say(p.flag("swept") ? "entry.swept" : "entry.unread"));
        }
        parts.add(p.texts("symptoms").stream().map(s -> words.of(Symptom.valueOf(s))).collect(Collectors.joining(", ")));
        p.optionalText("shift").map(ShiftFeel::valueOf).filter(s -> s.symptom().isEmpty()).ifPresent(s -> parts.add(words.of(s)));
        if (p.flag("loaded")) {
            parts.add(words.say("entry.loaded"));
        }
        if (p.flag("quiet")) {
            parts.add(words.say("entry.quiet"));
        }
        parts.add(p.text("remark"));
        return parts.stream().filter(part -> !part.isEmpty()).collect(Collectors.joining("; "));
    }
}
