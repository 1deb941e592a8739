package tallledger.web.machine;

import java.util.ArrayList;
import java.util.Comparator;
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
    private record Field(String word, String name, How how, List<String> choices) {

        static Field text(String word, String name) {
            return new Field(word, name, How.TEXT, List.of());
        }

        static Field lines(String word, String name) {
            return new Field(word, name, How.LINES, List.of());
        }

        static Field choice(String word, String name, Enum<?>... choices) {
            return new Field(word, name, How.CHOICE, Stream.of(choices).map(Enum::name).toList());
        }

        static Field choices(String word, String name, Enum<?>... choices) {
            return new Field(word, name, How.CHOICES, Stream.of(choices).map(Enum::name).toList());
        }
    }

    /**
     * A part.
     *
     * @param prefix of the form's fields; one that is there several times has its number behind it
     * @param key    field that each of several has
     * @param grid   prefix of the plate whose cells stand in it
     */
    private record Part(String word, String prefix, Optional<String> key, Optional<String> grid, List<Field> fields) {

        boolean isSeveral() {
            return key.isPresent();
        }

        String at(int row) {
            return isSeveral() ? prefix + row + "." : prefix;
        }
    }

    private static Part once(String word, Optional<String> grid, Field... fields) {
        return new Part(word, "", Optional.empty(), grid, List.of(fields));
    }

    private static final List<Part> PARTS = List.of(
            once("machine", Optional.empty(), Field.text("name", "name"), Field.text("maker", "maker"), Field.text("model", "model"),
                    Field.text("serial", "serial"), Field.text("year", "year"),
                    Field.choice("family", "family", Family.values()), Field.choice("unit", "unit", LengthUnit.values()),
                    Field.text("stands at", "seenAt"), Field.text("offered by", "offeredBy")),
            new Part("stage", "stage", Optional.of("name"), Optional.empty(),
                    List.of(Field.text("name", "name"), Field.choice("kind", "kind", StageKind.values()),
                            Field.text("positions", "positions"),
                            Field.text("values", "values"), Field.choice("shifting", "shifting", Shifting.values()),
                            Field.choice("pattern", "pattern", LeverPattern.values()),
                            Field.choice("moved by", "movedBy", MovedBy.values()))),
            once("drive", Optional.empty(), Field.text("reverses", "reverses"), Field.lines("interlock", "interlocks"),
                    Field.text("motor", "kilowatts"), Field.choice("power", "law", MotorRating.Law.values()),
                    Field.text("efficiency", "efficiency")),
            once("speeds", Optional.of(PlateGrid.SPEED), Field.text("tolerance", "tolerance")),
            once("feeds", Optional.of(PlateGrid.FEED), Field.lines("lever", "feedLevers"),
                    Field.choice("counted in", "feedUnit", LengthUnit.values()), Field.choice("per", "feedPer", Axis.Per.values())),
            once("threads", Optional.of(PlateGrid.THREAD), Field.lines("lever", "threadLevers"),
                    Field.choice("counted in", "threadCounted", ThreadPlate.Counted.values())),
            new Part("axis", "axis", Optional.of("name"), Optional.empty(),
                    List.of(Field.text("name", "name"), Field.text("identity", "id"), Field.choice("is", "role", Axis.Role.values()),
                            Field.text("one way", "minus"),
                            Field.text("other way", "plus"), Field.choices("can", "abilities", Axis.Ability.values()),
                            Field.text("travel", "travel"), Field.choice("per", "per", Axis.Per.values()), Field.text("slowest", "slowest"),
                            Field.text("fastest", "fastest"), Field.text("rapid", "rapid"))),
            once("features", Optional.empty(), Field.choices("has", "feature", Feature.values()),
                    Field.lines("other speed", "otherSpeeds")),
            once("supply", Optional.empty(), Field.text("volts", "volts"), Field.text("hertz", "hertz"), Field.text("phases", "phases"),
                    Field.text("power", "supplyKilowatts"),
                    Field.text("amperes", "amperes"), Field.text("heavy start", "heavyStart")),
            once("change wheels", Optional.empty(), Field.text("lead screw", "leadScrew"), Field.text("factors", "factors"),
                    Field.lines("promised", "promised"), Field.text("reach", "reach"),
                    Field.text("buyable", "buyable")),
            new Part("claim", "claim", Optional.of("attribute"), Optional.empty(),
                    List.of(Field.choice("of", "attribute", Claim.Attribute.values()), Field.text("value", "value"),
                            Field.choice("by", "source", Claim.Source.values()),
                            Field.text("words", "wording"), Field.text("axis", "axis"), Field.text("tested by", "testedBy"))),
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
    public record Read(Optional<MachineDescription> description, List<Wrong> wrong) {
    }

    /** @param line nought where it is of none */
    public record Wrong(int line, Reason because) {
    }

    static String write(MachineDescription machine) {
        FormInput typed = MachineForm.write(machine);
        StringBuilder text = new StringBuilder(HEAD);
        for (Part part : PARTS) {
            if (part.isSeveral()) {
                for (int row = 0; typed.has(part.at(row) + part.key.orElseThrow()); row++) {
                    text.append(written(part, fields(part, part.at(row), typed)));
                }
            } else {
                List<String> lines = new ArrayList<>(fields(part, part.prefix, typed));
                part.grid.map(grid -> cells(machine, grid)).ifPresent(lines::addAll);
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

    private static String written(Part part, List<String> lines) {
        return lines.isEmpty() ? "" : "\n[" + part.word + "]\n" + String.join("\n", lines) + "\n";
    }

    private static List<String> fields(Part part, String prefix, FormInput typed) {
        List<String> lines = new ArrayList<>();
        for (Field f : part.fields) {
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

    private static List<String> cells(MachineDescription machine, String grid) {
        Optional<SpeedPlate> plate = switch (grid) {
            case PlateGrid.FEED -> machine.feeds().map(f -> f.plate());
            case PlateGrid.THREAD -> machine.threads().map(t -> t.plate());
            default -> Optional.of(machine.plate());
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
        private final Map<String, Map<String, Cell>> cells = new HashMap<>();
        /** Fields of which it is said already what is wrong. */
        private final Set<String> said = new HashSet<>();
        private final Map<String, Cell> own = new LinkedHashMap<>();
        private Part part;
        private int row;

        private record Cell(int line, String value) {
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
            if (part.grid.isPresent() && equals > 0) {
                cells.computeIfAbsent(part.grid.get(), g -> new LinkedHashMap<>())
                        .put(line.substring(0, equals).strip().replaceAll("\\s*·\\s*", AND),
                                new Cell(number, line.substring(equals + 1).strip()));
                return;
            }
            int colon = line.indexOf(':');
            String word = colon < 0 ? line : line.substring(0, colon).strip();
            String value = colon < 0 ? "" : line.substring(colon + 1).strip();
            if (colon > 0 && part.word.equals(OWN_CHART)) {
                own.put(word, new Cell(number, value));
                return;
            }
            Optional<Field> field = part.fields.stream().filter(f -> f.word.equals(word.toLowerCase(Locale.ROOT))).findFirst();
            if (colon < 1 || field.isEmpty()) {
                wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_FIELD, cut(word), part.word, part.fields.stream()
                        .map(f -> (Object) f.word).toList())));
                return;
            }
            put(field.get(), part.at(row) + field.get().name, value, number);
        }

        private void put(Field field, String name, String value, int number) {
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
        private Optional<String> chosen(Field field, String name, String value, int number) {
            Optional<String> found = field.choices.stream().filter(constant(value)::equals).findFirst();
            if (found.isEmpty() && !value.isBlank()) {
                wrong.add(new Wrong(number, Reason.of(WebReason.TEXT_CHOICE, cut(value.strip()), field.choices.stream()
                        .map(c -> (Object) small(c)).toList())));
                said.add(name);
            }
            return found;
        }

        Read done(Rules rules) {
            rows("claim", "claimRows");
            rows("axis", "axisRows");
            if (count.getOrDefault("stage", 0) > MachineForm.STAGE_ROWS) {
                wrong.add(new Wrong(lines.getOrDefault("stage" + MachineForm.STAGE_ROWS + ".", 0),
                        Reason.of(WebReason.TEXT_STAGES, MachineForm.STAGE_ROWS)));
            }
            typed.set("phases", typed.has("phases") ? typed.get("phases") : "3");
            // What the machine moves and has is as the text says, not as usual.
            typed.set(MachineForm.FIT_OF, typed.get("family"));
            if (!typed.has("unit")) {
                typed.set("unit", LengthUnit.MM.name());
            }
            FormInput look = typed.withoutErrors();
            MachineForm.train(look).ifPresent(train -> grid(PlateGrid.SPEED, MachineDescription.leversOf(train)));
            for (String plate : List.of(PlateGrid.FEED, PlateGrid.THREAD)) {
                grid(plate, MachineForm.levers(look, plate));
            }
            Optional<MachineDescription> description = MachineForm.description(typed, Optional.empty(), rules);
            typed.errors().forEach((field, because) -> {
                if (!said.contains(field)) {
                    wrong.add(new Wrong(lineOf(field), because));
                }
            });
            description = description.flatMap(this::withOwnChart);
            wrong.sort(Comparator.comparingInt(Wrong::line));
            return new Read(wrong.isEmpty() ? description : Optional.empty(), List.copyOf(wrong));
        }

        private void rows(String part, String field) {
            typed.set(field, String.valueOf(count.getOrDefault(part, 0) + 1));
        }

        private void grid(String prefix, List<Lever> levers) {
            Map<String, Cell> typedCells = cells.getOrDefault(prefix, Map.of());
            List<String> keys = SpeedPlate.keysOf(levers).stream().map(DescriptionText::cell).toList();
            typed.set(prefix + "shape", PlateGrid.shapeOf(levers));
            typedCells.forEach((key, cell) -> {
                int at = keys.indexOf(key);
                if (at < 0) {
                    wrong.add(new Wrong(cell.line, Reason.of(WebReason.TEXT_CELL, cut(key), keys.isEmpty() ? "" : keys.get(0))));
                } else {
                    typed.set(PlateGrid.field(prefix, at), cell.value);
                    lines.put(PlateGrid.field(prefix, at), cell.line);
                }
            });
            // A cell that is left out was not read.
            if (!typedCells.isEmpty()) {
                IntStream.range(0, keys.size()).mapToObj(i -> PlateGrid.field(prefix, i)).filter(f -> !typed.has(f))
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
            Map<StepId, OwnChart.Printed> printed = new LinkedHashMap<>();
            own.forEach((step, cell) -> {
                String[] two = cell.value.split(";", 2);
                try {
                    printed.put(StepId.read(step), new OwnChart.Printed(two[0].strip(), two.length < 2 ? ""
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

    static Read read(String text, Rules rules) {
        Reader reader = new Reader();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            reader.line(i + 1, lines.get(i));
        }
        return reader.done(rules);
    }
}
