package tallledger.web.forms;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.store.StaleFormException;
import tallledger.web.store.Submission;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** Writes a machine's description as a form says it, and shows the form again, with all that was typed, where it could not be written. */
@Component
public class MachineWriter {

    private final MachineBooks machineBooks;
    private final AuthorCookie writer;

    MachineWriter(MachineBooks machineBooks, AuthorCookie writer) {
        this.machineBooks = machineBooks;
        this.writer = writer;
    }

    /**
     * @param machine described anew; empty where it is a new one
     * @param page    shown again where nothing was written
     * @return where to go on: the machine's page
     */
    public String write(Optional<StoredMachine> machine, MachineDescription description, FormInput typed, Submission submission,
            HttpServletResponse response, Function<Submission, String> page) {
        try {
            long id = machine.map(StoredMachine::id).orElse(0L);
            if (machine.isPresent()) {
                machineBooks.describeAnew(id, description, typed.get("author"), submission);
            } else {
                id = machineBooks.add(description, typed.get("author"), submission);
            }
            writer.remember(response, typed.get("author"), submission);
            return "redirect:/machines/" + id;
        } catch (StaleFormException moved) {
            response.setStatus(409);
            typed.refuse("form", Reason.of(WebReason.MACHINE_MOVED_ON, moved.head()));
            return page.apply(new Submission(submission.key(), moved.head()));
        } catch (WriteRefusedException not) {
            response.setStatus(503);
            typed.refuse("form", not.reason());
            return page.apply(submission);
        }
    }
}
