package tallledger.web.library;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.PlateCell;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.web.store.BookKind;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;
import tallledger.web.words.WebReason;
/** Writes in machines' books: what is described, and whether it stands on the shelf. */
@Component
public class MachineBooks {

    private static final String DESCRIBED = "DESCRIBED";
    static final String PUT_AWAY = "PUT_AWAY";
    static final String TAKEN_OUT = "TAKEN_OUT";
    private static final int LONGEST_WHY = 200;

    private final Books books;
    private final Clock clock;

    MachineBooks(Books books, Clock clock) {
        this.books = books;
        this.clock = clock;
    }

    public long add(MachineDescription description, String author, Submission submission) {
        return books.open(BookKind.MACHINE, Optional.empty(), description.identity().name(), described(description, author), submission);
    }

    public void describeAnew(long machineId, MachineDescription description, String author, Submission submission) {
        books.append(machineId, described(description, author), submission);
    }

    /**
     * Puts a machine away, out of sight of the shelf: its books stay as they are.
     *
     * @throws Refused where nobody says why
     */
    public void putAway(long machineId, String why, String author, Submission submission) {
        if (why.isBlank()) {
            throw Refused.because(WebReason.AWAY_WHY).at("why");
        }
        if (why.strip().length() > LONGEST_WHY) {
            throw Refused.because(CommonReason.TEXT_LONG, why.strip().length(), LONGEST_WHY).at("why");
        }
        books.append(machineId, Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), PUT_AWAY, "", Map.of("why", why.strip())),
                submission);
    }

    /** Takes it out again. */
    public void takeOut(long machineId, String author, Submission submission) {
        books.append(machineId, Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), TAKEN_OUT, "", Map.of()), submission);
    }

    /** Writes a new version in which one plate cell means something else than it shows. */
    public void acceptReading(StoredMachine machine, List<String> at, String means, String author, Submission submission) {
        PlateCell cell = machine.description().plate().cell(at);
        String shown = cell.typed().contains(PlateCell.MEANS) ? cell.typed().substring(0, cell.typed().indexOf(PlateCell.MEANS))
                : cell.typed();
        PlateCell corrected = PlateCell.parse(shown + PlateCell.MEANS + means);
        describeAnew(machine.id(), machine.description().withCell(at, corrected), author, submission);
    }

    private Draft described(MachineDescription description, String author) {
        return Draft.of(Authorship.of(clock.instant(), clock.getZone(), author), DESCRIBED, "", description.toPayload());
    }
}
