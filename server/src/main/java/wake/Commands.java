package wake;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Scanner;
import wake.store.backups.BackupFile;
import wake.store.backups.BackupFile.Contents;
import wake.store.backups.DataFolder;
import wake.store.backups.Durable;
import wake.store.backups.NotABackup;
import wake.units.Messages;

/** {@code ./wake backup FILE} and {@code ./wake restore FILE}: without the interface, and a backup also while Wake is running. */
final class Commands {
    private static final Duration ANSWERS_WITHIN = Duration.ofSeconds(5);

    private final Path data;
    private final PrintStream out;

    Commands(Path data, PrintStream out) {
        this.data = data;
        this.out = out;
    }

    /** Writes everything to a file, which appears whole or not at all. */
    int backup(Path file, int port) throws IOException, SQLException, InterruptedException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try (OutputStream to = Files.newOutputStream(part)) {
            if (!fromRunning(port, to)) {
                try (DataFolder folder = DataFolder.hold(data)) {
                    folder.backupOffline(to);
                }
            }
            Contents contents = BackupFile.checked(part);
            Durable.move(part, file);
            out.println("Backed up to " + file + ": " + words(contents));
            return 0;
        } catch (NotABackup | DataFolder.Unusable refused) {
            out.println(refused.getMessage());
        } catch (DataFolder.InUse open) {
            out.println("Wake is running on " + data + ", but not on port " + port
                    + ". Set WAKE_PORT to its port, or stop it.");
        } finally {
            Files.deleteIfExists(part);
        }
        return 1;
    }

    /** The running Wake writes it, if there is one on this folder; the word in the folder lets this in. */
    private boolean fromRunning(int port, OutputStream to) throws IOException, InterruptedException {
        Path token = data.resolve(DataFolder.TOKEN);
        if (!Files.exists(token) || DataFolder.isFree(data)) {
            return false;
        }
        URI place = URI.create("http://127.0.0.1:" + port + "/api/data/backup?recordings=true");
        HttpRequest request = HttpRequest.newBuilder(place)
                .header("Authorization", "Bearer " + Files.readString(token))
                .build();
        try (HttpClient http =
                HttpClient.newBuilder().connectTimeout(ANSWERS_WITHIN).build()) {
            HttpResponse<InputStream> answer = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream body = answer.body()) {
                if (answer.statusCode() != 200) {
                    return false;
                }
                body.transferTo(to);
                return true;
            }
        } catch (ConnectException notThere) {
            return false;
        }
    }

    /** Puts a backup in place of what is in the folder. */
    int restore(Path file, boolean yes, InputStream in) throws IOException, SQLException {
        try {
            Contents contents = BackupFile.checked(file);
            boolean empty = !Files.exists(data.resolve("wake.mv.db"));
            out.println("The backup of " + contents.madeAt() + " holds " + words(contents));
            if (!empty && !yes) {
                out.print("It replaces everything in " + data + "; a copy of that is made first. Go on? [y/N] ");
                out.flush();
                Scanner answer = new Scanner(in, java.nio.charset.StandardCharsets.UTF_8);
                if (!answer.hasNextLine() || !answer.nextLine().strip().equalsIgnoreCase("y")) {
                    out.println("Nothing was changed.");
                    return 1;
                }
            }
            try (DataFolder folder = DataFolder.hold(data)) {
                folder.restoreOffline(file);
            }
            out.println("Restored into " + data + ".");
            return 0;
        } catch (NotABackup | DataFolder.Unusable refused) {
            out.println(refused.getMessage());
        } catch (java.nio.file.NoSuchFileException missing) {
            out.println("There is no file " + file + ".");
        } catch (DataFolder.InUse open) {
            out.println("Wake is running on " + data + ". Stop it first, or restore the backup on its Data page.");
        }
        return 1;
    }

    private static String words(Contents contents) {
        return Messages.of(
                "%d athletes, %d workouts, %d attempts with %d marks, %d videos%s.",
                contents.rows("ATHLETE"),
                contents.rows("WORKOUT"),
                contents.rows("ATTEMPT"),
                contents.rows("MARK"),
                contents.rows("RECORDING"),
                contents.recordings() ? "" : ", without their files");
    }
}
