package tallledger.web.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.house.Device;
import tallledger.core.ledger.Author;

/** What a device may, by what it was let in for. */
class DeviceGateTest {

    @ParameterizedTest
    @CsvSource({
            // one survey, to record
            "7, true, GET, /surveys/7/run, ''", "7, true, POST, /surveys/7/step, ''", "7, true, GET, /surveys/7, ''",
            "7, true, GET, /surveys/71/run, sorry.device-scope", "7, true, GET, /surveys/8/run, sorry.device-scope",
            "7, true, GET, /, sorry.device-scope", "7, true, GET, /machines/7, sorry.device-scope",
            "7, true, GET, /beside, sorry.device-scope", "7, true, GET, /house, sorry.device-scope",
            "7, true, GET, /house/sharing, sorry.device-here", "7, true, GET, /works/7, sorry.device-scope",
            "7, true, GET, /css/ledger.css, ''", "7, true, GET, /js/abc/ledger.js, ''", "7, true, GET, /alive, ''",
            "7, true, POST, /screen, ''",
            // one survey, to read
            "7, false, GET, /surveys/7/verdict, ''", "7, false, HEAD, /surveys/7/verdict, ''",
            "7, false, POST, /surveys/7/step, sorry.device-reads", "7, false, PUT, /surveys/7/step, sorry.device-reads",
            "7, false, POST, /screen, ''",
            // everything, to record
            "'', true, GET, /, ''", "'', true, GET, /surveys/8/run, ''", "'', true, POST, /house/rules/TWIST, ''",
            "'', true, POST, /start, ''", "'', true, GET, /house/sharing, sorry.device-here",
            "'', true, POST, /house/sharing/codes, sorry.device-here", "'', true, POST, /house/backup/begin, sorry.device-here",
            "'', true, GET, /missing, sorry.device-here", "'', true, POST, /example, sorry.device-here",
            // everything, to read
            "'', false, GET, /house, ''", "'', false, POST, /house/rules/TWIST, sorry.device-reads",
            "'', false, POST, /start, sorry.device-reads"})
    void whatADeviceMay(String survey, boolean writes, String method, String path, String refused) {
        Device device = new Device("d", "Phone", Author.parse("R. Ashdown"),
                survey.isEmpty() ? Optional.empty() : Optional.of(Long.parseLong(survey)), writes, Instant.MAX, "a".repeat(64));
        assertThat(DeviceGate.refused(device, method, path).orElse("")).isEqualTo(refused);
    }
}
