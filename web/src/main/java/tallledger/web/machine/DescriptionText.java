package tallledger.web.machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.drive.LeverPattern;
import tallledger.core.drive.MotorRating;
import tallledger.core.drive.MovedBy;
import tallledger.core.drive.Shifting;
import tallledger.core.drive.StageKind;
import tallledger.core.family.Family;
import tallledger.core.family.Feature;
import tallledger.core.family.OwnChart;
import tallledger.core.family.StepId;
import tallledger.core.machine.Claim;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.motion.ThreadPlate;
import tallledger.core.plate.Lever;
import tallledger.core.plate.PlateCell;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.web.forms.FormInput;
import tallledger.web.words.WebReason;

/**
 * A machine's description as plain text, to be kept, reused and written in any editor: parts in square brackets, "field: value" a line. It
 * is what the machine's form asks for, and is read as the form is; what is wrong is said with its line.
 */
public final class DescriptionText {

    static final int LONGEST = 200_000;
    private static final String HEAD = """
            # A machine's description: parts in square brackets, "field: value" a line. Lines that begin with # are passed over.
            # What is left out is not known. Numbers stand as typed, with their unit where they have one.
            """;
    /** Between the positions of a plate's cell. */
    private static final String AND = " · ";

    /** How a field's value stands in the form. */
    private enum How {
        /** As it is. */
        TEXT,
        /** One of a few, written in small letters. */
        CHOICE,
        /** Several of a few, parted by commas. */
        CHOICES,
        /** A line each. */
        LINES
    }

    /**
     * A field.
     *
     * @param word   as it is written
     * @param name   of the form's field, behind the part's prefix
     * @param choices where it is one or several of a few
     */
    private record DescribedField(String word, String name, How how, List<String> choices) {

        static DescribedField text(String word, String name) {
            return new DescribedField(word, name, How.TEXT, List.of());
        }

        static DescribedField lines(String word, String name) {
            return new DescribedField(word, name, How.LINES, List.of());
        }

        static DescribedField choice(String word, String name, Enum<?>... choices) {
            return new DescribedField(word, name, How.CHOICE, Stream.of(choices).map(Enum::name).toList());
        }

        static DescribedField choices(String word, String name, Enum<?>... choices) {
            return new DescribedField(word, name, How.CHOICES, Stream.of(choices).map(Enum::name).toList());
        }
    }

    /**
     * A part.
     *
     * @param prefix of the form's fields; one that is there several times has its number behind it
     * @param key    field that each of several has
     * @param plate  whose cells stand in it
     */
    private record TextPart(String word, String prefix, Optional<String> key, Optional<FormPlate> plate, List<DescribedField> fields) {

        boolean isSeveral() {
            return key.isPresent();
        }

        String at(int row) {
            return isSeveral() ? prefix + row + "." : prefix;
        }
    }

    private static TextPart once(String word, Optional<FormPlate> plate, DescribedField... fields) {
        return new TextPart(word, "", Optional.empty(), plate, List.of(fields));
    }

    private static final List<TextPart> PARTS = List.of(
            once("machine", Optional.empty(), DescribedField.text("name", "name"), DescribedField.text("maker", "maker"),
                    DescribedField.text("model", "model"),
                    DescribedField.text("serial", "serial"), DescribedField.text("year", "year"),
                    DescribedField.choice("family", "family", Family.values()), DescribedField.choice("unit", "unit", LengthUnit.values()),
                    DescribedField.text("stands at", "seenAt"), DescribedField.text("offered by", "offeredBy")),
            new TextPart("stage", "stage", Optional.of("name"), Optional.empty(),
                    List.of(DescribedField.text("name", "name"), DescribedField.choice("kind", "kind", StageKind.values()),
                            DescribedField.text("positions", "positions"),
                            DescribedField.text("values", "values"), DescribedField.choice("shifting", "shifting", Shifting.values()),
                            DescribedField.choice("pattern", "pattern", LeverPattern.values()),
                            DescribedField.choice("moved by", "movedBy", MovedBy.values()))),
            once("drive", Optional.empty(), DescribedField.text("reverses", "reverses"), DescribedField.lines("interlock", "interlocks"),
                    DescribedField.text("motor", "kilowatts"), DescribedField.choice("power", "law", MotorRating.Law.values()),
                    DescribedField.text("efficiency", "efficiency")),
            once("speeds", Optional.of(FormPlate.SPEED), DescribedField.text("tolerance", "tolerance")),
            once("feeds", Optional.of(FormPlate.FEED), DescribedField.lines("lever", "feedLevers"),
                    DescribedField.choice("counted in", "feedUnit", LengthUnit.values()),
                    DescribedField.choice("per", "feedPer", Axis.Per.values())),
            once("threads", Optional.of(FormPlate.THREAD), DescribedField.lines("lever", "threadLevers"),
                    DescribedField.choice("counted in", "threadCounted", ThreadPlate.Counted.values())),
            new TextPart("axis", "axis", Optional.of("name"), Optional.empty(),
                    List.of(DescribedField.text("name", "name"), DescribedField.text("identity", "id"),
                            DescribedField.choice("is", "role", Axis.Role.values()),
                            DescribedField.text("one way", "minus"),
                            DescribedField.text("other way", "plus"), DescribedField.choices("can", "abilities", Axis.Ability.values()),
                            DescribedField.text("travel", "travel"), DescribedField.choice("per", "per", Axis.Per.values()),
                            DescribedField.text("slowest", "slowest"),
                            DescribedField.text("fastest", "fastest"), DescribedField.text("rapid", "rapid"))),
            once("features", Optional.empty(), DescribedField.choices("has", "feature", Feature.values()),
                    DescribedField.lines("other speed", "otherSpeeds")),
            once("supply", Optional.empty(), DescribedField.text("volts", "volts"), DescribedField.text("hertz", "hertz"),
                    DescribedField.text("phases", "phases"),
                    DescribedField.text("power", "supplyKilowatts"),
                    DescribedField.text("amperes", "amperes"), DescribedField.text("heavy start", "heavyStart")),
            once("change wheels", Optional.empty(), DescribedField.text("lead screw", "leadScrew"),
                    DescribedField.text("factors", "factors"),
                    DescribedField.lines("promised", "promised"), DescribedField.text("reach", "reach"),
                    DescribedField.text("buyable", "buyable")),
            new TextPart("claim", "claim", Optional.of("attribute"), Optional.empty(),
                    List.of(DescribedField.choice("of", "attribute", Claim.Attribute.values()), DescribedField.text("value", "value"),
                            DescribedField.choice("by", "source", Claim.Source.values()),
                            DescribedField.text("words", "wording"), DescribedField.text("axis", "axis"),
                            DescribedField.text("tested by", "testedBy"))),
            once("own chart", Optional.empty()));
    private static final String OWN_CHART = "own chart";

    private DescriptionText() {
    }

    /**
     * Read text.
     *
     * @param description empty where anything is wrong
     * @param wrong       what is, with its line; nought where it is of no line
     */
    public record DescriptionRead(Optional<MachineDescription> description, List<Wrong> wrong) {
    }

    /** @param line nought where it is of none */
    public record Wrong(int line, Reason because) {
    }

    static String write(MachineDescription machine) {
        FormInput typed = MachineForm.write(machine);
        StringBuilder text = new StringBuilder(HEAD);
        for (TextPart part : PARTS) {
            if (part.isSeveral()) {
                for (int row = 0; typed.has(part.at(row) + part.key.orElseThrow()); row++) {
                    text.append(written(part, fields(part, part.at(row), typed)));
                }
            } else {
                List<String> lines = new ArrayList<>(fields(part, part.prefix, typed));
                part.plate.map(plate -> cells(machine, plate)).ifPresent(lines::addAll);
                if (part.word.equals(OWN_CHART)) {
                    machine.fitOut().ownChart().lines().entrySet().stream()
                            .sorted(Map.Entry.comparingByKey(Comparator.comparing(StepId::written)))
                            .forEach(e -> lines.add(e.getKey().written() + ": " + e.getValue().permissible()
                                    + (e.getValue().measured().isEmpty() ? "" : "; " + e.getValue().measured())));
                }
                text.append(written(part, lines));
            }
        }
        return text.toString();
    }

    private static String written(TextPart part, List<String> lines) {
        return lines.isEmpty() ? "" : "\n[" + part.word + "]\n" + String.join("\n", lines) + "\n";
    }

    private static List<String> fields(TextPart part, String prefix, FormInput typed) {
        List<String> lines = new ArrayList<>();
        for (DescribedField f : part.fields) {
            String value = typed.get(prefix + f.name);
            switch (f.how) {
                case TEXT -> {
                    if (!value.isBlank()) {
                        lines.add(f.word + ": " + value.strip().replaceAll("\\s*\\R\\s*", " "));
                    }
                }
                case CHOICE -> {
                    if (!value.isBlank()) {
                        lines.add(f.word + ": " + small(value));
                    }
                }
                case CHOICES -> {
                    List<String> chosen = typed.all(prefix + f.name).stream().filter(v -> !v.isBlank()).map(DescriptionText::small)
                            .sorted().toList();
                    if (!chosen.isEmpty()) {
                        lines.add(f.word + ": " + String.join(", ", chosen));
                    }
                }
                case LINES -> value.lines().filter(l -> !l.isBlank()).forEach(l -> lines.add(f.word + ": " + l.strip()));
            }
        }
        return lines;
    }

    private static List<String> cells(MachineDescription machine, FormPlate of) {
        Optional<SpeedPlate> plate = switch (of) {
            case FEED -> machine.feeds().map(f -> f.plate());
            case THREAD -> machine.threads().map(t -> t.plate());
            case SPEED -> Optional.of(machine.plate());
        };
        return plate.map(p -> p.cells().entrySet().stream().map(e -> cell(e.getKey()) + " = " + e.getValue().typed()).toList())
                .orElse(List.of());
    }

    private static String cell(List<String> key) {
        return key.isEmpty() ? "the one speed" : String.join(AND, key);
    }

    private static String small(String constant) {
        return constant.toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String constant(String word) {
        return word.strip().toUpperCase(Locale.ROOT).replaceAll("[\\s-]+", "_");
    }

    /** A text being read. */
    private static final class Reader {

        private final FormInput typed = FormInput.blank();
        private final Map<String, Integer> lines = new HashMap<>();
        private final List<Wrong> wrong = new ArrayList<>();
        private final Map<String, Integer> count = new HashMap<>();
        private final Map<FormPlate, Map<String, DescribedCell>> cells = new EnumMap<>(FormPlate.class);
        /** Fields of which it is said already what is wrong. */
        private final Set<String> said = new HashSet<>();
        private final Map<String, DescribedCell> own = new LinkedHashMap<>();
        private TextPart part;
        private int row;

        private record DescribedCell(int line, String value) {
        }

        void line(int number, String text) {
            String line = text.strip();
            if (line.isEmpty() || line.startsWith("#")) {
                return;
            }
            if (line.startsWith("[") && line.endsWith("]")) {
                String word = line.substring(1, line.length() - 1).strip().toLowerCase(Locale.ROOT);
                part = PARTS.stream().filter(p -> p.word.equals(word)).findFirst().orElse(null);
                if (part == null) {
                    wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_PART, cut(word), PARTS.stream().map(p -> (Object) p.word)
                            .toList())));
                } else {
                    row = count.merge(part.word, 1, Integer::sum) - 1;
                    if (row > 0 && !part.isSeveral()) {
                        wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_PART_TWICE, word)));
                    }
                    lines.put(part.at(row), number);
                }
                return;
            }
            if (part == null) {
                if (wrong.isEmpty()) {
                    wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_NO_PART, cut(line))));
                }
                return;
            }
            int equals = line.lastIndexOf('=');
            if (part.plate.isPresent() && equals > 0) {
                cells.computeIfAbsent(part.plate.get(), g -> new LinkedHashMap<>())
                        .put(line.substring(0, equals).strip().replaceAll("\\s*·\\s*", AND),
                                new DescribedCell(number, line.substring(equals + 1).strip()));
                return;
            }
            int colon = line.indexOf(':');
            String word = colon < 0 ? line : line.substring(0, colon).strip();
            String value = colon < 0 ? "" : line.substring(colon + 1).strip();
            if (colon > 0 && part.word.equals(OWN_CHART)) {
                own.put(word, new DescribedCell(number, value));
                return;
            }
            Optional<DescribedField> field = part.fields.stream().filter(f -> f.word.equals(word.toLowerCase(Locale.ROOT))).findFirst();
            if (colon < 1 || field.isEmpty()) {
                wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_FIELD, cut(word), part.word, part.fields.stream()
                        .map(f -> (Object) f.word).toList())));
                return;
            }
            put(field.get(), part.at(row) + field.get().name, value, number);
        }

        private void put(DescribedField field, String name, String value, int number) {
            if (field.how != How.LINES && lines.putIfAbsent(name, number) != null) {
                wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_TWICE, field.word)));
                return;
            }
            lines.put(name, number);
            switch (field.how) {
                case TEXT -> typed.set(name, value);
                case CHOICE -> chosen(field, name, value, number).ifPresent(v -> typed.set(name, v));
                case CHOICES -> Stream.of(value.split(",")).filter(v -> !v.isBlank())
                        .forEach(v -> chosen(field, name, v, number).ifPresent(c -> typed.add(name, c)));
                case LINES -> typed.set(name, typed.get(name).isEmpty() ? value : typed.get(name) + "\n" + value);
            }
        }

        /** A form offers only what there is; a text may say anything. */
        private Optional<String> chosen(DescribedField field, String name, String value, int number) {
            Optional<String> found = field.choices.stream().filter(constant(value)::equals).findFirst();
            if (found.isEmpty() && !value.isBlank()) {
                wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_CHOICE, cut(value.strip()), field.choices.stream()
                        .map(c -> (Object) small(c)).toList())));
                said.add(name);
            }
            return found;
        }

        DescriptionRead done(Rules rules) {
            rows("claim", "claimRows");
            rows("axis", "axisRows");
            if (count.getOrDefault("stage", 0) > DriveFields.STAGE_ROWS) {
                wrong.add(new Wrong(lines.getOrDefault("stage" + DriveFields.STAGE_ROWS + ".", 0),
                        Reason.of(WebReason.TEXT_STAGES, DriveFields.STAGE_ROWS)));
            }
            typed.set("phases", typed.has("phases") ? typed.get("phases") : "3");
            // What the machine moves and has is as the text says, not as usual.
            typed.set(MachineForm.FIT_OF, typed.get("family"));
            if (!typed.has("unit")) {
                typed.set("unit", LengthUnit.MM.name());
            }
            FormInput look = typed.withoutErrors();
            DriveFields.train(look).ifPresent(train -> grid(FormPlate.SPEED, MachineDescription.leversOf(train)));
            for (FormPlate plate : List.of(FormPlate.FEED, FormPlate.THREAD)) {
                grid(plate, PlateFields.levers(look, plate));
            }
            Optional<MachineDescription> description = MachineForm.description(typed, Optional.empty(), rules);
            typed.errors().forEach((field, because) -> {
                if (!said.contains(field)) {
                    wrong.add(new Wrong(lineOf(field), because));
                }
            });
            description = description.flatMap(this::withOwnChart);
            wrong.sort(Comparator.comparingInt(Wrong::line));
            return new DescriptionRead(wrong.isEmpty() ? description : Optional.empty(), List.copyOf(wrong));
        }

        private void rows(String part, String field) {
            typed.set(field, String.valueOf(count.getOrDefault(part, 0) + 1));
        }

        private void grid(FormPlate plate, List<Lever> levers) {
            Map<String, DescribedCell> typedCells = cells.getOrDefault(plate, Map.of());
            List<String> keys = SpeedPlate.keysOf(levers).stream().map(DescriptionText::cell).toList();
            typed.set(plate.shape(), PlateGrid.shapeOf(levers));
            typedCells.forEach((key, cell) -> {
                int at = keys.indexOf(key);
                if (at < 0) {
                    wrong.add(new Wrong(cell.line, Reason.of(WebReason.TEXT_CELL, cut(key), keys.isEmpty() ? "" : keys.get(0))));
                } else {
                    typed.set(plate.cell(at), cell.value);
                    lines.put(plate.cell(at), cell.line);
                }
            });
            // A cell that is left out was not read.
            if (!typedCells.isEmpty()) {
                IntStream.range(0, keys.size()).mapToObj(plate::cell).filter(f -> !typed.has(f))
                        .forEach(f -> typed.set(f, PlateCell.UNREADABLE_SIGN));
            }
        }

        private int lineOf(String field) {
            if (lines.containsKey(field)) {
                return lines.get(field);
            }
            int dot = field.indexOf('.');
            return dot < 0 ? 0 : lines.getOrDefault(field.substring(0, dot + 1), 0);
        }

        private Optional<MachineDescription> withOwnChart(MachineDescription machine) {
            Map<StepId, OwnChart.PrintedFigure> printed = new LinkedHashMap<>();
            own.forEach((step, cell) -> {
                String[] two = cell.value.split(";", 2);
                try {
                    printed.put(StepId.read(step), new OwnChart.PrintedFigure(two[0].strip(), two.length < 2 ? ""
                            : two[1].strip()).checked(machine.unit()));
                } catch (Refused refused) {
                    wrong.add(new Wrong(cell.line, refused.reason()));
                } catch (IllegalArgumentException noStep) {
                    wrong.add(new Wrong(cell.line, Reason.of(WebReason.RUN_NO_SUCH_STEP)));
                }
            });
            try {
                return Optional.of(own.isEmpty() ? machine : machine.with(machine.fitOut().with(new OwnChart(printed))));
            } catch (Refused refused) {
                wrong.add(new Wrong(0, refused.reason()));
                return Optional.empty();
            }
        }
    }

    /** Long nonsense is not said back whole. */
    private static String cut(String text) {
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }

    static DescriptionRead read(String text, Rules rules) {
        Reader reader = new Reader();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            reader.line(i + 1, lines.get(i));
        }
        return reader.done(rules);
    }
}
