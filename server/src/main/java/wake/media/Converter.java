package wake.media;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Converts what browsers cannot play with ffmpeg, where that is installed: H.264 in MP4, turned upright, every frame at the time it was
 * taken. One process for each file; it shows how far it is and can be cancelled.
 */
@Component
public class Converter {
    private static final Logger LOG = LoggerFactory.getLogger(Converter.class);
    private static final double MICROS = 1e6;

    private final Map<UUID, Job> jobs = new ConcurrentHashMap<>();

    /** A conversion under way, or how it ended. */
    private static final class Job {
        volatile @Nullable Process process;
        volatile double share;
        volatile String failure = "";
        volatile boolean done;
        volatile long doneAt;
        volatile boolean cancelled;

        /** The program that works at it now; one that starts after the job was cancelled ends at once. */
        void runs(Process now) {
            process = now;
            if (cancelled) {
                now.destroyForcibly();
            }
        }
    }

    /**
     * How a conversion stands.
     *
     * @param share how much of it is done, from 0 to 1
     * @param failure why it failed; empty when it did not
     */
    public record Progress(double share, boolean done, String failure) {}

    public Optional<Progress> progress(UUID id) {
        return Optional.ofNullable(jobs.get(id)).map(job -> new Progress(job.share, job.done, job.failure));
    }

    /**
     * Begins to convert a file; one that is being converted already goes on.
     *
     * @param whenDone told the converted file
     */
    public void begin(UUID id, Path from, Path to, Consumer<Path> whenDone) {
        forgetOld();
        Job job = new Job();
        Job running = jobs.putIfAbsent(id, job);
        if (running == null || (running.done && jobs.replace(id, running, job))) {
            Thread.ofVirtual().name("convert " + id).start(() -> run(id, job, from, to, whenDone));
        }
    }

    /** How one ended is kept for an hour. */
    private void forgetOld() {
        long now = System.nanoTime();
        jobs.values().removeIf(job -> job.done && now - job.doneAt > TimeUnit.HOURS.toNanos(1));
    }

    private void run(UUID id, Job job, Path from, Path to, Consumer<Path> whenDone) {
        try {
            double seconds = seconds(job, from);
            if (job.cancelled) {
                return;
            }
            Process process = Ffmpeg.start(command(from, to));
            job.runs(process);
            try (BufferedReader lines = process.inputReader(StandardCharsets.US_ASCII)) {
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    if (line.startsWith("out_time_us=") && seconds > 0 && line.charAt(12) != 'N') {
                        job.share = Math.clamp(Long.parseLong(line.substring(12)) / MICROS / seconds, 0, 1);
                    }
                }
            }
            int exit = process.waitFor();
            if (exit == 0 && !job.cancelled) {
                whenDone.accept(to);
            } else if (job.failure.isEmpty()) {
                job.failure = "ffmpeg could not convert this file. It may be damaged: copy it from the camera again.";
            }
        } catch (IOException | RuntimeException broken) {
            LOG.warn("Converting {} failed", id, broken);
            job.failure = "Converting failed: " + broken.getMessage();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            job.failure = "Converting was interrupted. Try again.";
        } finally {
            job.doneAt = System.nanoTime();
            job.done = true;
            delete(to);
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException kept) {
            LOG.warn("Could not delete {}", file, kept);
        }
    }

    /** Frames keep their own times ({@code -fps_mode passthrough}); a phone's rotation is carried out by ffmpeg itself. */
    private static List<String> command(Path from, Path to) {
        return List.of(
                "ffmpeg",
                "-nostdin",
                "-y",
                "-v",
                "error",
                "-progress",
                "pipe:1",
                "-i",
                from.toString(),
                "-map",
                "0:v:0",
                "-map",
                "0:a:0?",
                "-c:v",
                "libx264",
                "-preset",
                "veryfast",
                "-crf",
                "21",
                "-pix_fmt",
                "yuv420p",
                "-g",
                "30",
                "-fps_mode",
                "passthrough",
                "-c:a",
                "aac",
                "-movflags",
                "+faststart",
                "-f",
                "mp4",
                to.toString());
    }

    private static double seconds(Job job, Path file) throws IOException, InterruptedException {
        return Ffmpeg.probe(job::runs, "-show_entries", "format=duration", file.toString()).stream()
                .filter(line -> line.matches("format,\\d+([.]\\d+)?"))
                .mapToDouble(line -> Double.parseDouble(line.substring(line.indexOf(',') + 1)))
                .findFirst()
                .orElse(0);
    }

    /** Stops a conversion, if one is under way, and forgets it. */
    public void cancel(UUID id) {
        Job job = jobs.remove(id);
        if (job != null) {
            job.failure = "Cancelled.";
            job.cancelled = true;
            Process process = job.process;
            if (process != null) {
                process.destroyForcibly();
            }
        }
    }

    /** No conversion outlives Wake. */
    @jakarta.annotation.PreDestroy
    void stopAll() {
        for (UUID id : List.copyOf(jobs.keySet())) {
            cancel(id);
        }
    }
}
