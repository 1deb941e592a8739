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

    private Verify() {
    }

    public static void main(String[] args) {
        if (args.length != 1 || !Files.isRegularFile(Path.of(args[0]))) {
            System.err.println("bin/verify FILE.zip");
            System.exit(2);
        }
        boolean watched = System.console() != null;
        Found.Checked checked = HandedOver.check(Path.of(args[0]), share -> {
            if (watched) {
                System.err.printf("\r%3.0f %% of its files read", 100 * share);
            }
        });
        if (watched) {
            System.err.println();
        }
        ResourceBundle words = ResourceBundle.getBundle("messages", Locale.ROOT);
        checked.found().forEach(f -> System.out.println(f.what() + " " + f.where() + ": "
                        + new MessageFormat(words.getString(f.what().code()), Locale.ROOT).format(new Object[] {f.where()})));
        if (checked.holds()) {
            System.out.println(checked.title() + ": " + checked.entries()
                    + (checked.seal().isPresent() ? " entries, every file and the signature hold: nothing changed since it was closed."
                    : " entries follow each other as they were written. It was not closed: it could be cut short unseen."));
        }
        checked.seal().ifPresent(s -> System.out.println("Closed by " + s.closedBy() + " at " + s.closedAt() + ". Key: " + s.fingerprint()
                        .words() + "\n" + s.fingerprint().hex()));
        System.exit(checked.holds() ? 0 : 1);
    }
}
