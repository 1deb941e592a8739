package tallledger.web.pictures;

/** How a line is drawn by what is proven of it; never told by its colour alone. One for screen, print and file. */
public enum Ink {
    PROVEN("#17665a", "2.2", "none"),
    INFERRED("#17665a", "1.4", "5 3"),
    FAILED("#9c3222", "2.2", "9 5"),
    /** Of a drive nobody has run. */
    DRAWN("#1b2430", "1.3", "none"),
    OPEN("#4f5a67", "1.2", "1 4");

    private final String colour;
    private final String width;
    private final String dash;

    Ink(String colour, String width, String dash) {
        this.colour = colour;
        this.width = width;
        this.dash = dash;
    }

    /** @param state of a mark or a ray; what is neither proven nor failed is drawn as open */
    public static Ink of(String state) {
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
