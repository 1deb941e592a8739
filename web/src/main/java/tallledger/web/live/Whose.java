package tallledger.web.live;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import tallledger.core.house.Device;
import tallledger.core.ledger.Author;
import tallledger.web.forms.AuthorCookie;
import tallledger.web.sharing.DeviceGate;

/**
 * Whose page it is: a device that was let in, or this computer.
 *
 * @param id      the device's; the same for all pages of this computer
 * @param name    as others are told
 * @param records whether it may record: whoever only reads is at no step
 */
public record Whose(String id, String name, boolean records) {

    private static final String HERE = "here";

    /** @param otherwise where nobody has written on this computer yet */
    public static Whose of(HttpServletRequest request, AuthorCookie writer, String otherwise) {
        Optional<Device> device = DeviceGate.asking(request);
        return device.map(d -> new Whose(d.id(), d.author().name(), d.writes()))
                .orElseGet(() -> new Whose(HERE, writer.known(request).map(w -> Author.parse(w).name()).orElse(otherwise), true));
    }

    /** The same person, whichever device they have in hand. */
    boolean isNamedAs(Whose other) {
        return name.strip().equalsIgnoreCase(other.name.strip());
    }
}
