package tallledger.core.evidence;

import java.util.List;

/**
 * One field of a record.
 *
 * @param name    its key
 * @param input   how it is typed
 * @param unit    what bare figures in it are counted in
 * @param start   what stands in it at first
 * @param choices where one of several is chosen
 * @param must    whether it cannot be left empty
 * @param another whether it belongs to another way to the same record, which most do not take: a whole series, a result alone
 */
public record RecordField(String name, InputKind input, FieldUnit unit, Preset start, List<? extends Enum<?>> choices, boolean must,
        boolean another) {

    /** Of the way that most take. */
    public RecordField(String name, InputKind input, FieldUnit unit, Preset start, List<? extends Enum<?>> choices, boolean must) {
        this(name, input, unit, start, choices, must, false);
    }

    public static RecordField must(String name, InputKind input, FieldUnit unit) {
        return new RecordField(name, input, unit, Preset.NONE, List.of(), true);
    }

    public static RecordField may(String name, InputKind input, FieldUnit unit) {
        return new RecordField(name, input, unit, Preset.NONE, List.of(), false);
    }

    /** The same, of another way to the same record. */
    public RecordField ofAnotherWay() {
        return new RecordField(name, input, unit, start, choices, must, true);
    }

    /** Whether bare figures in it are lengths in the machine's unit. */
    public boolean isLength() {
        return unit == FieldUnit.LENGTH || unit == FieldUnit.DIAL;
    }

    /** Whether several figures stand in it. */
    public boolean isRow() {
        return input == InputKind.SERIES || input == InputKind.LONG_TEXT;
    }

    /** Key of what it is called: a result that may be typed instead of readings is called so. */
    public String word() {
        return name.equals("value") && !must ? "value-alone" : name;
    }
}
