package tallledger.web.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.family.Family;
import tallledger.core.machine.Claim;
import tallledger.core.machine.ClaimText;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.FormRow;
import tallledger.web.words.WebReason;

/** What is said of a machine, as typed: free words that can be split, and a row for each claim. */
final class ClaimFields {

    private static final String ROWS = "claimRows";
    private static final int FEWEST_ROWS = 3;
    private static final int MORE_ROWS = 3;

    private ClaimFields() {
    }

    static int rows(FormInput typed) {
        return Math.min(Math.max(typed.wholeOr(ROWS, FEWEST_ROWS), FEWEST_ROWS), MachineDescription.MOST_CLAIMS);
    }

    static void addRows(FormInput typed) {
        typed.set(ROWS, String.valueOf(rows(typed) + MORE_ROWS));
    }

    private static FormRow row(FormInput typed, int i) {
        return new FormRow(typed, "claim" + i);
    }

    private static Stream<FormRow> all(FormInput typed) {
        return IntStream.range(0, rows(typed)).mapToObj(i -> row(typed, i));
    }

    static List<Claim> read(FormInput typed, LengthUnit unit) {
        return all(typed).filter(row -> row.hasAny("value", "wording")).flatMap(row -> read(row, unit).stream()).toList();
    }

    private static Optional<Claim> read(FormRow row, LengthUnit unit) {
        Optional<Claim.Attribute> attribute = row.choice("attribute", Claim.Attribute.class);
        Optional<Claim.Source> source = row.choice("source", Claim.Source.class);
        Optional<Optional<AxisId>> axis = row.attempt("axis", () -> AxisId.read(row.get("axis")));
        if (attribute.isEmpty() || source.isEmpty() || axis.isEmpty()) {
            return Optional.empty();
        }
        return row.attempt("value", () -> Claim.checked(attribute.get(), row.get("value"), source.get(), row.get("wording"), axis.get(),
                unit).tiedTo(tied(row.get("testedBy"))));
    }

    /** What tests a claim: keys or names with ; between. */
    static List<String> tied(String text) {
        return Stream.of(text.split(";")).map(String::strip).filter(t -> !t.isEmpty()).toList();
    }

    /** Whether any claim says what tests it. */
    static boolean areTied(FormInput typed) {
        return all(typed).anyMatch(row -> row.has("testedBy"));
    }

    /**
     * What tests a claim was chosen by name; what is kept is its key. A name that nothing has is refused where it was typed.
     *
     * @param names of the machine's steps and speeds, by their keys
     */
    static void tie(FormInput typed, Map<String, String> names) {
        all(typed).filter(row -> row.has("testedBy")).forEach(row -> {
            List<String> keys = tied(row.get("testedBy")).stream().map(name -> key(name, names).orElseGet(() -> {
                typed.refuse(row.field("testedBy"), Reason.of(WebReason.CLAIM_STEP_UNKNOWN, name));
                return null;
            })).filter(Objects::nonNull).toList();
            if (!typed.isWrong(row.field("testedBy"))) {
                row.set("testedBy", String.join("; ", keys));
            }
        });
    }

    private static Optional<String> key(String name, Map<String, String> names) {
        return names.entrySet().stream().filter(e -> e.getValue().equals(name) || e.getKey().equals(name)).map(Map.Entry::getKey)
                .findFirst();
    }

    /** What tests each row's claim, by name. */
    static List<String> tiedNames(FormInput typed, Map<String, String> names) {
        return all(typed).map(row -> tied(row.get("testedBy")).stream().map(key -> names.getOrDefault(key, key))
                .collect(Collectors.joining("; "))).toList();
    }

    /**
     * What is said in free words, split into rows of claims to be checked; what stood there stays before them.
     *
     * @param axes what a travel that somebody names can be of
     */
    static void split(FormInput typed, List<Axis> axes) {
        Family family = Stream.of(Family.values()).filter(f -> typed.holds("family", f.name())).findFirst().orElse(Family.LATHE);
        typed.withoutErrors().choice("saidBy", Claim.Source.class)
                .flatMap(source -> typed.attempt("said",
                        () -> ClaimText.split(typed.get("said"), source, family, IdentityFields.unit(typed), axes)))
                .ifPresent(claims -> add(claims, typed));
    }

    /** Figures that no plate was made of, kept as they were said, in rows no longer than a value may be. */
    static void asWords(String what, String figures, FormInput typed) {
        typed.choice("saidBy", Claim.Source.class).ifPresent(source -> {
            List<Claim> rows = new ArrayList<>();
            StringBuilder row = new StringBuilder(what);
            for (String figure : figures.strip().split("\\s+")) {
                if (row.length() + figure.length() >= Identity.LONGEST) {
                    rows.add(new Claim(Claim.Attribute.OTHER, row.toString(), source, row.toString()));
                    row = new StringBuilder(what);
                }
                row.append(' ').append(figure);
            }
            rows.add(new Claim(Claim.Attribute.OTHER, row.toString(), source, row.toString()));
            add(rows, typed);
        });
    }

    private static void add(List<Claim> claims, FormInput typed) {
        int next = 0;
        for (Claim claim : claims) {
            while (row(typed, next).hasAny("value", "wording")) {
                next++;
            }
            write(claim, row(typed, next));
        }
        typed.set(ROWS, String.valueOf(Math.min(next + 2, MachineDescription.MOST_CLAIMS)));
        typed.set("said", "");
    }

    static void write(List<Claim> claims, FormInput typed) {
        IntStream.range(0, claims.size()).forEach(i -> write(claims.get(i), row(typed, i)));
        typed.set(ROWS, String.valueOf(claims.size() + 1));
    }

    private static void write(Claim claim, FormRow row) {
        row.set("attribute", claim.attribute().name());
        row.set("value", claim.value());
        row.set("source", claim.source().name());
        row.set("wording", claim.wording());
        row.set("axis", claim.axis().map(AxisId::written).orElse(""));
        row.set("testedBy", String.join("; ", claim.tiedTo()));
    }

    /** What is said of one machine is not said of its sister. */
    static void clear(FormInput typed) {
        all(typed).forEach(row -> List.of("value", "wording", "axis", "testedBy").forEach(part -> row.set(part, "")));
    }
}
