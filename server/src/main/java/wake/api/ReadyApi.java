package wake.api;

import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether everything has started, the demo included. */
@RestController
class ReadyApi {
    private final ApplicationAvailability availability;

    record Ready(boolean ready) {}

    ReadyApi(ApplicationAvailability availability) {
        this.availability = availability;
    }

    @GetMapping("/api/ready")
    ResponseEntity<Ready> ready() {
        boolean ready = availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
        return ResponseEntity.status(ready ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .body(new Ready(ready));
    }
}
