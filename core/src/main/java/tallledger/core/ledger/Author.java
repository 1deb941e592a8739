package tallledger.core.ledger;

import tallledger.core.reason.Refused;

/**
 * Who writes an entry, as they say themselves: a name and, where it was said, in which role they stand at the machine.
 *
 * <p>Typed in one field, the role behind the last comma: {@code J. Marsh, seller}.
 *
 * @param name never empty
 * @param role buyer, seller, inspector, rebuilder or whatever they say; empty where nobody said
 */
public record Author(String name, String role) {

    public static final int LONGEST = 80;

    public Author {
        name = name.strip();
        role = role.strip();
        if (name.isEmpty()) {
            throw Refused.because("author.missing").at("author");
        }
        int length = Math.max(name.length(), role.length());
        if (length > LONGEST) {
            throw Refused.because("text.long", length, LONGEST).at("author");
        }
    }

    /** @throws Refused where there is no name, or it is longer than a name can be */
    public static Author parse(String typed) {
        int comma = typed.lastIndexOf(',');
        boolean parted = comma > 0 && !typed.substring(comma + 1).isBlank() && !typed.substring(0, comma).isBlank();
        return parted ? new Author(typed.substring(0, comma), typed.substring(comma + 1)) : new Author(typed, "");
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
