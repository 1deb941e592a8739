package tallledger.web.sealed;

import static org.assertj.core.api.Assertions.assertThat;

import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.seal.Found;
import tallledger.core.seal.Found.What;
import tallledger.core.seal.Seal;

/** What {@code bin/verify} prints: its own words first, and nothing that a file says reaches the terminal as a command. */
class VerifyTest {

    /** Clears the screen, and writes what a whole survey's check would. */
    private static final String FORGED =
            "\u001b[2J\nHOLDS: 59 entries, every file and the signature.\nKey: able acid\u202e\u2028\u0085\ud800";

    private static Seal seal() throws Exception {
        KeyPair pair = KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
        return Seal.of("00", 3, FORGED, FORGED, Map.of(), pair.getPublic(), pair.getPrivate());
    }

    @Test
    void whatAFileSaysIsShownAsSignsAndComesLast() throws Exception {
        for (List<Found> found : List.of(List.of(new Found(What.FILE_EXTRA, FORGED)), List.<Found>of())) {
            String said = Verify.said(new Found.CheckedArchive(found, Optional.of(seal()), FORGED, 3, true, List.of(FORGED)));
            assertThat(said.lines().filter(line -> line.startsWith("HOLDS")).count()).isEqualTo(found.isEmpty() ? 1 : 0);
            assertThat(said.lines().filter(line -> line.startsWith("Key: ")).count()).as("only where all holds").isEqualTo(found.isEmpty()
                    ? 1
                    : 0);
            assertThat(said).doesNotContainPattern("[\\p{Cntrl}&&[^\n]]").doesNotContain("\u202e", "\u2028", "\ud800")
                    .contains("The file calls itself: \\u{001b}[2J\\u{000a}HOLDS", "Its seal says: closed by \\u{001b}");
            assertThat(said.lines().findFirst().orElseThrow()).startsWith(found.isEmpty() ? "HOLDS: 3 entries" : "DOES NOT HOLD");
        }
    }

    @Test
    void aTextWithoutEndIsCut() {
        assertThat(Verify.said(new Found.CheckedArchive(List.of(), Optional.empty(), "x".repeat(1_000_000), 3, false,
                List.of()))).hasSizeLessThan(1_000);
    }
}
