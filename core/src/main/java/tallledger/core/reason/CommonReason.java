package tallledger.core.reason;

/** What more than one package says. */
public enum CommonReason implements ReasonCode {
    CHOICE_UNKNOWN("choice.unknown"),
    FIGURE("figure", "value"),
    FIGURE_UNIT("figure.unit", "value", "unit"),
    NUMBER_MISSING("number.missing"),
    NUMBER_NOT_POSITIVE("number.not-positive", "typed"),
    RULE_RANGE("rule.range", "figure", "least", "most", "written"),
    STRAY_REFUSED("stray.refused", "reason"),
    STRAY_UNREADABLE("stray.unreadable"),
    TEETH_OUTSIDE("teeth.outside", "teeth", "fewest", "most"),
    TEXT_LONG("text.long", "length", "longest"),
    VALUE_WHOLE("value.whole", "field");

    private final Sentence sentence;

    CommonReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
