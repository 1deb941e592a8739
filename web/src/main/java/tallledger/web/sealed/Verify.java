package tallledger.web.sealed;

import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import tallledger.core.seal.Found;

/**
 * {@code bin/verify FILE}: the check at the command line, without database or server. Ends with 0 where all holds, 1 where something was
 * found, 2 where there is no such file.
 */
public final class Verify {

    private static final int LONGEST = 400;

    private Verify() {
    }

    public static void main(String[] args) {
        if (args.length != 1 || !Files.isRegularFile(Path.of(args[0]))) {
            System.err.println("bin/verify FILE.zip");
            System.exit(2);
        }
        boolean watched = System.console() != null;
        Found.CheckedArchive checked = ArchiveCheck.check(Path.of(args[0]), share -> {
            if (watched) {
                System.err.printf("\r%3.0f %% of its files read", 100 * share);
            }
        });
        if (watched) {
            System.err.println();
        }
        System.out.print(said(checked));
        System.exit(checked.holds() ? 0 : 1);
    }

    /** What was checked first, then what the file says of itself; whatever it says goes through no terminal as a command. */
    static String said(Found.CheckedArchive checked) {
        ResourceBundle words = ResourceBundle.getBundle("messages", Locale.ROOT);
        StringBuilder out = new StringBuilder(checked.holds() ? "HOLDS: " + checked.entries() + (checked.seal().isPresent()
                ? " entries, every file and the signature. Nothing changed since it was closed.\n"
                : " entries follow each other as they were written. It was not closed: it could be cut short unseen.\n")
                : "DOES NOT HOLD: this is not what was handed over.\n");
        checked.found().forEach(f -> out.append(f.what()).append(' ').append(shown(f.where())).append(": ")
                .append(new MessageFormat(words.getString(f.what().code()),
                        Locale.ROOT).format(new Object[] {shown(f.where())}))
                .append('\n'));
        if (checked.holds() && !checked.unheld().isEmpty()) {
            out.append("Not checked, nothing holds them: ").append(shown(String.join(", ", checked.unheld()))).append('\n');
        }
        checked.key().ifPresent(key -> out.append("Key: ").append(key.words()).append('\n').append(key.hex()).append('\n'));
        if (!checked.title().isEmpty()) {
            out.append("The file calls itself: ").append(shown(checked.title())).append('\n');
        }
        checked.seal().ifPresent(s -> out.append("Its seal says: closed by ").append(shown(s.closedBy())).append(" at ")
                .append(shown(s.closedAt())).append('\n'));
        return out.toString();
    }

    /** Control signs, and such as turn the writing round, as their numbers. */
    private static String shown(String text) {
        StringBuilder out = new StringBuilder();
        text.codePoints().limit(LONGEST).forEach(c -> {
            boolean plain = !Character.isISOControl(c) && Character.getType(c) != Character.FORMAT
                    && Character.getType(c) != Character.LINE_SEPARATOR && Character.getType(c) != Character.PARAGRAPH_SEPARATOR
                    && Character.getType(c) != Character.SURROGATE;
            out.append(plain ? Character.toString(c) : String.format("\\u{%04x}", c));
        });
        return out.append(text.length() > LONGEST ? "..." : "").toString();
    }
}
