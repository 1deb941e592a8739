package tallledger.web.pictures;

/** How a stroke is drawn, one for screen, paper and file; never told by its colour alone. */
public enum Pen {
    /** A thin line of the paper. */
    RULE("#8a8578", "1", "none"),
    /** What was read. */
    READ("#1f6f68", "2", "none"),
    /** What was read the other way, or of the other thing. */
    OTHER("#8a3b2a", "2", "6 3"),
    /** A line reckoned through it. */
    FIT("#1f2a33", "1", "4 4"),
    /** What is not as it should be. */
    FAULT("#9c3222", "2.2", "none"),
    /** On the way of something proven. */
    PROVEN("#17665a", "2.2", "none"),
    INFERRED("#17665a", "1.4", "5 3"),
    /** Only on the way of something that failed. */
    FAILED("#9c3222", "2.2", "9 5"),
    /** Of a drive nobody has run. */
    DRAWN("#1b2430", "1.3", "none"),
    OPEN("#4f5a67", "1.2", "1 4");

    private final String colour;
    private final String width;
    private final String dash;

    Pen(String colour, String width, String dash) {
        this.colour = colour;
        this.width = width;
        this.dash = dash;
    }

    /** @param state of a mark or a ray; what is neither proven nor failed is drawn as open */
    public static Pen of(String state) {
        return switch (state) {
            case "proven" -> PROVEN;
            case "inferred" -> INFERRED;
            case "failed" -> FAILED;
            case "drawn" -> DRAWN;
            default -> OPEN;
        };
    }

    public String colour() {
        return colour;
    }

    public String width() {
        return width;
    }

    public String dash() {
        return dash;
    }
}
