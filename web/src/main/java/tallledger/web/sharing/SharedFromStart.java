package tallledger.web.sharing;

import java.io.PrintStream;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tallledger.core.seal.Fingerprint;
import tallledger.web.pictures.QrCode;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.Words;

/** Shared from the start on, where the command line asks for it: the terminal shows where, and a code for the first device. */
@Component
class SharedFromStart {

    private static final Logger LOG = LoggerFactory.getLogger(SharedFromStart.class);
    private static final Duration HALF_A_DAY = Duration.ofHours(12);
    /** Black on white, whatever the terminal's own colours are. */
    private static final String ON_WHITE = "\u001b[30;47m";
    private static final String AS_BEFORE = "\u001b[0m";

    private final Sharing sharing;
    private final PairingCodes codes;
    private final Words words;
    private final boolean asked;

    SharedFromStart(Sharing sharing, PairingCodes codes, Words words, @Value("${tallledger.share}") boolean asked) {
        this.sharing = sharing;
        this.codes = codes;
        this.words = words;
        this.asked = asked;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (!asked) {
            return;
        }
        try {
            sharing.begin();
            say(System.out, System.console() != null);
        } catch (WriteRefusedException not) {
            System.err.println(words.say(not.reason()));
            LOG.debug("Not shared", not);
        }
    }

    /** @param squares whether whoever reads it can photograph what it prints */
    void say(PrintStream out, boolean squares) {
        List<String> addresses = sharing.addresses();
        if (addresses.isEmpty()) {
            out.println(words.say("sharing.no-network"));
            return;
        }
        PairingCodes.Code code = codes.handedOut(new PairingCodes.Offer(Optional.empty(), true, HALF_A_DAY, "", ""), Submission.fresh(0));
        String address = sharing.address(addresses.get(0)) + DeviceGate.PAIR;
        out.println(words.say("sharing.terminal", address, code.shown(), PairingCodes.GOOD_FOR.toMinutes(),
                sharing.fingerprint().map(Fingerprint::words).orElse("")));
        if (squares) {
            QrCode.blocks(address + "?code=" + code.shown()).forEach(line -> out.println(ON_WHITE + line + AS_BEFORE));
        }
    }
}
