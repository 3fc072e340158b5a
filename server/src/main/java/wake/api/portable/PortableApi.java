package wake.api.portable;

import jakarta.servlet.http.HttpServletRequest;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import wake.api.InvalidRequest;
import wake.api.Outgoing;
import wake.review.NotFound;
import wake.review.portable.Export;
import wake.review.portable.Import;
import wake.review.portable.Import.Taken;
import wake.review.portable.NotTakenIn;
import wake.store.AthleteStore;

/** An attempt, an athlete, or everything as JSON, out and in. */
@RestController
class PortableApi {
    private final Export takeout;
    private final Import intake;
    private final AthleteStore athletes;
    private final Outgoing outgoing;
    private final Clock clock;

    PortableApi(Export takeout, Import intake, AthleteStore athletes, Outgoing outgoing, Clock clock) {
        this.outgoing = outgoing;
        this.takeout = takeout;
        this.intake = intake;
        this.athletes = athletes;
        this.clock = clock;
    }

    /** What the JSON looks like (JSON Schema, 2020-12). */
    @GetMapping(value = "/api/schema/wake-1.json", produces = "application/schema+json")
    String schema() {
        return Import.schema();
    }

    /** An attempt with the other parts of its day. */
    @GetMapping(value = "/api/attempts/{id}/files/attempt.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> attempt(@PathVariable UUID id) throws IOException {
        return file("attempt " + id, out -> takeout.attempt(id, out));
    }

    /** An athlete with all attempts. */
    @GetMapping(value = "/api/athletes/{id}/athlete.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> athlete(@PathVariable UUID id) throws IOException {
        String name =
                athletes.find(id).orElseThrow(() -> new NotFound("athlete", id)).name();
        return file(name + " " + LocalDate.now(clock), out -> takeout.athlete(id, out));
    }

    /** Everything but the files of videos. */
    @GetMapping(value = "/api/data/everything.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> everything() throws IOException {
        return file("wake " + LocalDate.now(clock), takeout::everything);
    }

    private ResponseEntity<StreamingResponseBody> file(String name, Consumer<OutputStream> write) throws IOException {
        return outgoing.answer(name + ".json", MediaType.APPLICATION_JSON, file -> {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
                write.accept(out);
            }
        });
    }

    /** Takes in a file that was written so: all of it, or nothing. What is here already stays as it is. */
    @PostMapping(value = "/api/data/import", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Taken takeIn(HttpServletRequest request) throws IOException {
        try {
            return intake.takeIn(request.getInputStream().readAllBytes());
        } catch (NotTakenIn unfit) {
            throw new InvalidRequest("file", unfit.getMessage() + "\nNothing was imported.");
        }
    }
}
