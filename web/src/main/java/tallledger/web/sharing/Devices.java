package tallledger.web.sharing;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tallledger.core.house.Device;
import tallledger.core.house.HouseBook;
import tallledger.core.house.HouseBook.Paired;
import tallledger.core.house.HouseChange;
import tallledger.core.ledger.Author;
import tallledger.web.connections.Connections;
import tallledger.web.housebook.Houses;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;

/**
 * The devices that were let in, as the house's book says. A device proves itself with a secret of 256 bits that it alone keeps; the book
 * has its hash.
 */
@Component
public class Devices {

    private static final Logger LOG = LoggerFactory.getLogger(Devices.class);
    private static final String APPLICATION = "Tall Ledger";
    private static final int SECRET = 32;
    private static final int TRIES = 5;
    /** Refusals are written one by one up to so many a day; those that follow are counted into the next. */
    private static final int WRITTEN_A_DAY = 20;
    private static final Duration A_DAY = Duration.ofDays(1);

    private record Known(HouseBook book, Map<String, Paired> byProof) {
    }

    private final Houses houses;
    private final Clock clock;
    private final LastHeard heard;
    private volatile Known known;
    private int unwritten;

    Devices(Houses houses, Clock clock, LastHeard heard) {
        this.heard = heard;
        this.houses = houses;
        this.clock = clock;
    }

    /** The device whose secret this is, while it is let in. */
    Optional<Device> of(String secret) {
        HouseBook book = houses.book();
        Known now = known;
        if (now == null || now.book != book) {
            now = new Known(book, book.devices().stream().collect(Collectors.toMap(p -> p.device().proof(), p -> p, (a, b) -> a)));
            known = now;
        }
        return Optional.ofNullable(now.byProof.get(proof(secret))).filter(p -> p.isIn(clock.instant())).map(Paired::device);
    }

    /** Whether it is let in still: somebody may have ended that while it was sending. */
    boolean isIn(Device device) {
        return houses.book().devices().stream().anyMatch(p -> p.device().id().equals(device.id()) && p.isIn(clock.instant()));
    }

    List<Paired> all() {
        return houses.book().devices();
    }

    void saw(Device device) {
        heard.saw(device.id(), clock.instant());
    }

    /** How many entries a device holds now that it has not sent. */
    void holds(Device device, int kept) {
        heard.holds(device.id(), kept, clock.instant());
    }

    /** When it was last heard of, and what it held then. */
    Optional<LastHeard.Heard> lastHeard(String id) {
        return heard.of(id);
    }

    /** A device that held entries of a survey's when it was last heard of. */
    public record Holding(String name, Instant at, int kept) {
    }

    /** Devices that may write in a survey and held entries when they were last heard of. */
    public List<Holding> holding(long survey) {
        return all().stream().filter(p -> p.device().writes() && p.device().survey().filter(s -> s != survey).isEmpty())
                .flatMap(p -> heard.of(p.device().id()).filter(h -> h.kept() > 0).map(h -> new Holding(p.device().name(), h.at(), h.kept()))
                        .stream())
                .toList();
    }

    static String secret() {
        byte[] bytes = new byte[SECRET];
        new SecureRandom().nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    private static String proof(String secret) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /**
     * A device is let in.
     *
     * @throws tallledger.core.reason.Refused where its name or its author is none
     * @throws WriteRefusedException where that cannot be kept: then it is not let in
     */
    Device letIn(PairingCodes.Offer offer, String name, String author, String secret) {
        Device device = new Device(UUID.randomUUID().toString(), name, Author.parse(author), offer.survey(), offer.writes(),
                clock.instant().plus(offer.lasts()), proof(secret));
        write(new HouseChange.DevicePaired(device), author);
        saw(device);
        return device;
    }

    /** A device is let in no more, from this moment on: what it is sending is cut. */
    void end(Paired paired, String author) {
        if (paired.out().isEmpty()) {
            write(new HouseChange.DeviceOut(paired.device().id(), paired.device().name()), author);
        }
        Connections.cut(paired.device().id());
    }

    /** Written down where that can be: whoever was refused stays refused. */
    synchronized void refused(String from, HouseChange.PairingRefused.Wrong why) {
        Instant since = clock.instant().minus(A_DAY);
        unwritten++;
        if (houses.book().refusals().stream().filter(r -> r.entry().at().isAfter(since)).count() >= WRITTEN_A_DAY) {
            return;
        }
        try {
            write(new HouseChange.PairingRefused(from, why, unwritten), APPLICATION);
            unwritten = 0;
        } catch (WriteRefusedException not) {
            LOG.warn("A refusal was not written down: {}", not.getMessage());
        }
    }

    /** It rests on nothing else in the book, so whatever was written meanwhile does not stand in its way. */
    private void write(HouseChange change, String author) {
        for (int tries = 1;; tries++) {
            try {
                houses.change(change, author, Submission.fresh(houses.head()));
                return;
            } catch (StaleFormException moved) {
                if (tries == TRIES) {
                    throw moved;
                }
            }
        }
    }
}
