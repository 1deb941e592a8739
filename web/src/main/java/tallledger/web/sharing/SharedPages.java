package tallledger.web.sharing;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import tallledger.core.house.Device;

/** What every page is told of who looks at it. */
@ControllerAdvice
class SharedPages {

    /** The device that asks; null for this computer itself. */
    @ModelAttribute("device")
    Device device(HttpServletRequest request) {
        return DeviceGate.asking(request).orElse(null);
    }

    /** Somebody who was not let in; null else. */
    @ModelAttribute("stranger")
    Boolean stranger(HttpServletRequest request) {
        return request.getAttribute(DeviceGate.STRANGER) == null ? null : Boolean.TRUE;
    }
}
