package tallledger.web.config;

import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Answers a tablet that asks whether the connection stands. */
@RestController
class HealthController {

    @GetMapping("/alive")
    ResponseEntity<Void> alive() {
        return ResponseEntity.noContent().cacheControl(CacheControl.noStore()).build();
    }
}
