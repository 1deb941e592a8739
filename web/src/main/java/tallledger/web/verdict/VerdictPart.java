package tallledger.web.verdict;

import java.util.stream.Stream;

/** The parts of the verdict, each with its page. */
public enum VerdictPart {
    IN_SHORT("", "verdict"), FINDINGS("/findings", "findings"), CLAIMS("/claims", "claims"), STATEMENT("/statement", "statement"),
    MONEY("/money", "money"), RECORD("/record", "record");

    private final String address;
    private final String template;

    VerdictPart(String address, String template) {
        this.address = address;
        this.template = template;
    }

    /** @throws IllegalArgumentException for an address no part has */
    static VerdictPart at(String address) {
        return Stream.of(values()).filter(p -> p.address.equals(address)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException(address));
    }

    /** Behind the address of the verdict. */
    public String address() {
        return address;
    }

    String template() {
        return "verdict/" + template;
    }
}
