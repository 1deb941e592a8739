package tallledger.core.ledger;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import tallledger.core.reason.Reason;

/**
 * Text that every reader of the record can show: no character that XML 1.0 forbids (it would spoil a report for ever), none that
 * turns the direction of what follows (it would show other words than were written), and no name made only of what cannot be
 * seen.
 */
public final class PlainText {

    private PlainText() {
    }

    /** What is wrong with a text, with the place of the character counted from 1; empty where nothing is. */
    public static Optional<Reason> fault(String text) {
        boolean seen = text.isBlank();
        for (int i = 0; i < text.length(); i += Character.charCount(text.codePointAt(i))) {
            int c = text.codePointAt(i);
            if (!isXml(c)) {
                return Optional.of(Reason.of(LedgerReason.TEXT_FORBIDDEN, i + 1, String.format("U+%04X", c)));
            }
            if (turnsDirection(c)) {
                return Optional.of(Reason.of(LedgerReason.TEXT_DIRECTION, i + 1, String.format("U+%04X", c)));
            }
            seen |= isSeen(c);
        }
        return seen ? Optional.empty() : Optional.of(Reason.of(LedgerReason.TEXT_UNSEEN));
    }

    /** The first fault anywhere in a payload of maps, lists and text. */
    public static Optional<Reason> faultIn(Object value) {
        if (value instanceof String text) {
            return fault(text);
        } else if (value instanceof List<?> list) {
            return list.stream().flatMap(item -> faultIn(item).stream()).findFirst();
        } else if (value instanceof Map<?, ?> map) {
            return map.values().stream().flatMap(item -> faultIn(item).stream()).findFirst();
        }
        return Optional.empty();
    }

    /** The text as XML 1.0 can carry it: what it forbids becomes U+FFFD. */
    public static String xml(String text) {
        if (text.codePoints().allMatch(PlainText::isXml)) {
            return text;
        }
        StringBuilder kept = new StringBuilder(text.length());
        text.codePoints().forEach(c -> kept.appendCodePoint(isXml(c) ? c : 0xFFFD));
        return kept.toString();
    }

    /** Char of XML 1.0: tab, line feed, return, and from U+0020 on all but the surrogates, U+FFFE and U+FFFF. */
    private static boolean isXml(int c) {
        return c == 0x9 || c == 0xA || c == 0xD || c >= 0x20 && c <= 0xD7FF || c >= 0xE000 && c <= 0xFFFD || c >= 0x10000;
    }

    /** Embeddings, overrides and isolates of the Unicode bidirectional algorithm. */
    private static boolean turnsDirection(int c) {
        return c >= 0x202A && c <= 0x202E || c >= 0x2066 && c <= 0x2069;
    }

    private static boolean isSeen(int c) {
        int type = Character.getType(c);
        boolean blank = Character.isWhitespace(c) || Character.isSpaceChar(c) || c == 0x3164 || c == 0x115F || c == 0x1160 || c == 0xFFA0
                || c == 0x2800;
        return !blank && type != Character.FORMAT && type != Character.CONTROL && type != Character.UNASSIGNED
                && type != Character.NON_SPACING_MARK;
    }
}
