package wake.media;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * When each frame of a video is shown, as the file itself says: phones do not keep a steady rate. Read by ffprobe, where that is
 * installed, when it is first asked for, and kept beside the file.
 */
@Component
public class FrameTimes {
    private static final int MOST_FRAMES = 2_000_000;
    private static final double MS = 1000;

    private final MediaFolder media;
    /** One file is read once, however many ask for it; others are read beside it. */
    private final Map<UUID, CompletableFuture<List<Double>>> underWay = new ConcurrentHashMap<>();

    FrameTimes(MediaFolder media) {
        this.media = media;
    }

    /**
     * Media times of the frames of a recording, milliseconds from the start of the media, ascending; empty where they are unknown.
     */
    public List<Double> of(UUID id) throws IOException {
        CompletableFuture<List<Double>> mine = new CompletableFuture<>();
        CompletableFuture<List<Double>> first = underWay.putIfAbsent(id, mine);
        if (first != null) {
            return joined(first);
        }
        try {
            mine.complete(known(id));
        } catch (IOException | RuntimeException failed) {
            mine.completeExceptionally(failed);
        } finally {
            underWay.remove(id);
            // Nobody waits for ever, whatever went wrong.
            mine.completeExceptionally(new IOException("The times of its frames cannot be told"));
        }
        return joined(mine);
    }

    private static List<Double> joined(CompletableFuture<List<Double>> known) throws IOException {
        try {
            return known.join();
        } catch (CompletionException failed) {
            throw new IOException(failed.getCause());
        }
    }

    private List<Double> known(UUID id) throws IOException {
        Path kept = media.frames(id);
        if (!Files.exists(kept)) {
            List<Double> read = read(media.file(id));
            if (read.isEmpty()) {
                return read;
            }
            Path part = kept.resolveSibling(kept.getFileName() + ".part");
            Files.write(
                    part,
                    read.stream()
                            .map(time -> String.format(Locale.ROOT, "%.3f", time))
                            .toList());
            Files.move(part, kept, StandardCopyOption.ATOMIC_MOVE);
        }
        try (var lines = Files.lines(kept)) {
            return lines.map(Double::valueOf).toList();
        }
    }

    private static List<Double> read(Path file) throws IOException {
        if (!Ffmpeg.isInstalled()) {
            return List.of();
        }
        try {
            return times(Ffmpeg.probe(
                    "-select_streams",
                    "v:0",
                    "-show_entries",
                    "packet=pts_time,flags:format=start_time",
                    file.toString()));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return List.of();
        }
    }

    /**
     * The times in what ffprobe says: {@code packet,0.033000,K__} for each frame in the order they are decoded, and at the end {@code
     * format,0.000000}, when the media starts: browsers count from there, unless it is a lead of the sound before zero. A frame flagged
     * {@code D} is decoded and not shown.
     */
    static List<Double> times(List<String> said) {
        double start = said.stream()
                .filter(line -> line.startsWith("format,"))
                .map(line -> line.substring("format,".length()))
                .filter(FrameTimes::isTime)
                .mapToDouble(Double::parseDouble)
                .map(time -> Math.max(0, time))
                .findFirst()
                .orElse(0);
        return said.stream()
                .map(line -> line.split(",", -1))
                .filter(parts -> parts.length > 2 && parts[0].equals("packet") && isTime(parts[1]))
                .filter(parts -> !parts[2].contains("D"))
                .map(parts -> (Double.parseDouble(parts[1]) - start) * MS)
                .filter(time -> time > -1)
                .sorted()
                .distinct()
                .limit(MOST_FRAMES)
                .toList();
    }

    private static boolean isTime(String text) {
        return text.matches("-?\\d+([.]\\d+)?");
    }
}
