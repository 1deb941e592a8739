package tallledger.core.survey;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.coverage.School;
import tallledger.core.kit.KitItem;
import tallledger.core.kit.Lift;
import tallledger.core.ledger.Chain;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;
import tallledger.core.safety.Mounted;

/** Writes the drafts of a survey's entries, each refused with a reason when it would say nonsense. */
public final class SurveyEntries {

    public static final int LONGEST_TEXT = 1_000;
    /** A cycle's log is the longest thing typed at a step. */
    public static final int LONGEST_VALUE = 6_000;

    private static final BigDecimal MOST_MINUTES = new BigDecimal("600");

    private SurveyEntries() {
    }

    /** @param machineHash hash of the description's entry, so that the record names exactly what it judged by */
    public static Draft opened(Instant at, String author, int machineVersion, String machineHash, String role, Scope scope) {
        return draft(at, author, Kind.OPENED, "", Map.of("machineVersion", machineVersion, "machineHash", machineHash,
                "role", checked(role), "scope", scope.name()));
    }

    public static Draft adopted(Instant at, String author, int machineVersion, String machineHash) {
        return draft(at, author, Kind.DESCRIPTION_ADOPTED, "",
                Map.of("machineVersion", machineVersion, "machineHash", machineHash));
    }

    public static Draft startConfirmed(Instant at, String author, List<StartCheck.Item> items) {
        return draft(at, author, Kind.START_CONFIRMED, "", Map.of("items", items.stream().map(Enum::name).toList()));
    }

    /** @param mounted what is on the spindle, and what is marked on it */
    public static Draft startConfirmed(Instant at, String author, List<StartCheck.Item> items, Mounted mounted) {
        return draft(at, author, Kind.START_CONFIRMED, "", Map.of("items", items.stream().map(Enum::name).toList(), "mounted", mounted.toPayload()));
    }

    /**
     * A step done.
     *
     * @param flagged   the surveyor says it is not as it should be
     * @param confirmed needs confirmed with it, as {@link #written}
     * @throws Refused naming the field that cannot be read, or "confirmed" where something that changed was not confirmed
     */
    public static Draft step(Instant at, String author, StepLedger ledger, Step step, Map<String, String> typed, LengthUnit unit, boolean flagged,
                             List<String> confirmed, String remark) {
        List<StepLedger.Asked> changed = ledger.asked(step).stream().filter(StepLedger.Asked::changed).toList();
        long missing = changed.stream().filter(a -> !confirmed.contains(written(a.need()))).count();
        if (missing > 0) {
            throw Refused.because("needs.unconfirmed", missing, changed.size()).at("confirmed");
        }
        Map<String, String> values = new HashMap<>();
        step.recording().fields().forEach(f -> values.put(f.name(), typed.getOrDefault(f.name(), "").strip()));
        values.forEach((field, text) -> {
            if (text.length() > LONGEST_VALUE) {
                throw Refused.because("text.long", text.length(), LONGEST_VALUE).at(field);
            }
        });
        step.recording().judge(new Values(values, unit));
        return draft(at, author, Kind.STEP, step.id(), Map.of("step", step.id(), "values", values, "flagged", flagged,
                "confirmed", changed.stream().map(a -> written(a.need())).toList(), "remark", checked(remark)));
    }

    /** A need as forms and entries name it. */
    public static String written(Need need) {
        return need.kind().name() + "|" + need.of();
    }

    /** A need read back. */
    static Need need(String written) {
        int bar = written.indexOf('|');
        return new Need(Need.Kind.valueOf(written.substring(0, bar)), written.substring(bar + 1));
    }

    public static Draft stepPassedOver(Instant at, String author, Step step, String reason) {
        if (reason.isBlank()) {
            throw Refused.because("reason.missing");
        }
        return draft(at, author, Kind.PASSED_OVER, step.id(), Map.of("step", step.id(), "reason", checked(reason)));
    }

    /** @param key of a step or a route */
    public static Draft later(Instant at, String author, String key) {
        return draft(at, author, Kind.LATER, key, Map.of("step", key));
    }

    /** @param system what was put right, as steps name it */
    public static Draft systemRepaired(Instant at, String author, String system, String what) {
        if (what.isBlank()) {
            throw Refused.because("repair.missing");
        }
        return draft(at, author, Kind.REPAIRED, system, Map.of("system", system, "what", checked(what)));
    }

    public static Draft kit(Instant at, String author, KitItem item) {
        return draft(at, author, Kind.KIT, item.name(), item.toPayload());
    }

    public static Draft lift(Instant at, String author, Lift lift) {
        return draft(at, author, Kind.LIFT, "", lift.toPayload());
    }

    /**
     * @param sha256 hash of the bytes as stored
     * @param small  hash of its small copy
     */
    public static Draft photo(Instant at, String author, String step, String sha256, String small, int width, int height, String caption) {
        return draft(at, author, Kind.PHOTO, step, Map.of("step", step, "sha256", sha256, "small", small, "width", width, "height", height, "caption", checked(caption)));
    }

    public static Draft stopped(Instant at, String author) {
        return draft(at, author, Kind.STOPPED, "", Map.of());
    }

    public static Draft run(Instant at, String author, RunRecord record) {
        return draft(at, author, Kind.RUN, stepOf(record.settings()), record.toPayload());
    }

    /** @param minutes time there is, as typed; empty for as long as it takes */
    public static Draft planChosen(Instant at, String author, School school, String minutes) {
        if (school == School.MY_MINUTES) {
            TypedNumber typed = TypedNumber.parsePositive(minutes);
            if (typed.value().compareTo(MOST_MINUTES) > 0) {
                throw Refused.because("plan.minutes", minutes, MOST_MINUTES);
            }
        }
        return draft(at, author, Kind.PLAN_CHOSEN, "", Map.of("school", school.name(), "minutes", minutes.strip()));
    }

    public static Draft check(Instant at, String author, DriveCheck check, boolean good, String seconds, String remark) {
        if (!seconds.isBlank()) {
            TypedNumber.parsePositive(seconds);
        } else if (check == DriveCheck.BRAKE && good) {
            throw Refused.because("check.seconds");
        }
        return draft(at, author, Kind.CHECK, check.name(), Map.of("check", check.name(), "good", good, "seconds", seconds.strip(),
                "remark", checked(remark)));
    }

    public static Draft repaired(Instant at, String author, String stage, String label, String what) {
        if (what.isBlank()) {
            throw Refused.because("repair.missing");
        }
        return draft(at, author, Kind.REPAIRED, stage + " " + label, Map.of("stage", stage, "label", label, "what", checked(what)));
    }

    public static Draft passedOver(Instant at, String author, List<String> settings, String reason) {
        if (reason.isBlank()) {
            throw Refused.because("reason.missing");
        }
        return draft(at, author, Kind.PASSED_OVER, stepOf(settings), Map.of("settings", settings, "reason", checked(reason)));
    }

    public static Draft remark(Instant at, String author, List<String> settings, String text) {
        if (text.isBlank()) {
            throw Refused.because("remark.missing");
        }
        return draft(at, author, Kind.REMARK, stepOf(settings), Map.of("settings", settings, "text", checked(text)));
    }

    /**
     * Strikes an entry.
     *
     * @throws Refused when there is no such entry, it is struck already, or its kind cannot be struck
     */
    public static Draft strike(Instant at, String author, List<Entry> entries, int target, String reason) {
        Entry entry = entries.stream().filter(e -> e.sequence() == target).findFirst()
                .orElseThrow(() -> Refused.because("strike.none", target));
        if (!Kind.named(entry.kind()).map(Kind::canBeStruck).orElse(true)) {
            throw Refused.because("strike.kind", target);
        }
        if (Chain.struck(entries).containsKey(target)) {
            throw Refused.because("strike.already", target);
        }
        if (reason.isBlank()) {
            throw Refused.because("reason.missing");
        }
        Map<String, Object> payload = new HashMap<>(Map.of("reason", checked(reason)));
        return new Draft(at, author, Kind.STRIKE.name(), entry.step(), payload, Optional.of(target));
    }

    private static String stepOf(List<String> settings) {
        return String.join(" ", settings);
    }

    private static String checked(String text) {
        if (text.length() > LONGEST_TEXT) {
            throw Refused.because("text.long", text.length(), LONGEST_TEXT);
        }
        return text.strip();
    }

    private static Draft draft(Instant at, String author, Kind kind, String step, Map<String, Object> payload) {
        return new Draft(at, author, kind.name(), step, payload, Optional.empty());
    }
}
