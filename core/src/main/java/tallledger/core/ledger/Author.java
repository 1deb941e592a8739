package tallledger.core.ledger;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * Who writes an entry, as they say themselves: a name and, where it was said, in which role they stand at the machine.
 *
 * <p>Typed in one field, the role behind the last comma and without a capital: {@code J. Marsh, seller}; but {@code Marsh, J.} is a name.
 *
 * @param name never empty
 * @param role buyer, seller, inspector, rebuilder or whatever they say; empty where nobody said
 */
public record Author(String name, String role) {

    public static final int LONGEST = 80;
    private static final Pattern WITH_ROLE = Pattern.compile("(.*\\S)\\s*,\\s*(\\p{Ll}[^,]*)");

    public Author {
        name = name.strip();
        role = role.strip();
        if (name.isEmpty()) {
            throw Refused.because(LedgerReason.AUTHOR_MISSING).at("author");
        }
        int length = Math.max(name.length(), role.length());
        if (length > LONGEST) {
            throw Refused.because(CommonReason.TEXT_LONG, length, LONGEST).at("author");
        }
    }

    /** @throws Refused where there is no name, or it is longer than a name can be */
    public static Author parse(String typed) {
        Matcher parted = WITH_ROLE.matcher(typed.strip());
        return parted.matches() ? new Author(parted.group(1), parted.group(2)) : new Author(typed, "");
    }

    /** The same person in a role, where they said none here. */
    public Author or(String usual) {
        return role.isEmpty() ? new Author(name, usual) : this;
    }

    /** As it would be typed. */
    public String written() {
        return role.isEmpty() ? name : name + ", " + role;
    }
}
