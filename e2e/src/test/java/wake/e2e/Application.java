package wake.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.util.FileSystemUtils;

/**
 * What is started in the tests: the packaged application, unpacked and with a start-up cache as {@code ./wake} makes it, so that some thirty
 * starts take half their time. Without a package it starts from the class path; with {@code -Dwake.app=FOLDER} what lies there.
 */
final class Application {
    private static final Path PACKAGED = Path.of("../server/target");
    private static final Path UNPACKED = Path.of("target/unpacked").toAbsolutePath();
    /** What was learned in the rehearsal holds back the quick compiler these processes run with: requests take twice as long with it. */
    private static final List<String> PLAIN_CACHE = List.of("-XX:+UnlockDiagnosticVMOptions", "-XX:-AOTReplayTraining");

    /** The beans as they were worked out when the application was built: half of a start. */
    private static final String BUILT_BEANS = "-Dspring.aot.enabled=true";

    private static List<String> command = List.of();

    private Application() {}

    /** Options, main class or jar: what follows {@code java} and its other options. */
    static synchronized List<String> command() {
        if (command.isEmpty()) {
            String given = System.getProperty("wake.app");
            try {
                command = given == null ? packaged() : unpacked(Path.of(given));
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            } catch (InterruptedException stopped) {
                throw new IllegalStateException(stopped);
            }
        }
        return command;
    }

    static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private static List<String> unpacked(Path folder) {
        return List.of(
                "-XX:AOTCache=" + folder.resolveSibling("app.aot"),
                BUILT_BEANS,
                "-jar",
                folder.resolve("wake.jar") + "");
    }

    private static List<String> packaged() throws IOException, InterruptedException {
        Files.createDirectories(PACKAGED);
        try (DirectoryStream<Path> jars = Files.newDirectoryStream(PACKAGED, "wake-server-*-app.jar")) {
            for (Path jar : jars) {
                return unpackedFrom(jar);
            }
        }
        return List.of(
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                "wake.WakeApplication");
    }

    /** Unpacks a package and rehearses a start for its cache, unless that was done with the very same one. */
    private static List<String> unpackedFrom(Path jar) throws IOException, InterruptedException {
        Path folder = UNPACKED.resolve("app");
        Path from = UNPACKED.resolve("from");
        String print = fingerprint(jar);
        if (!Files.exists(from) || !Files.readString(from).equals(print)) {
            FileSystemUtils.deleteRecursively(UNPACKED);
            Files.createDirectories(UNPACKED);
            run(List.of(java(), "-Djarmode=tools", "-jar", jar + "", "extract", "--destination", folder + ""));
            Files.move(folder.resolve(jar.getFileName()), folder.resolve("wake.jar"));
            List<String> rehearsal = new ArrayList<>(List.of(java()));
            rehearsal.addAll(WakeProcess.COMPILER);
            rehearsal.addAll(List.of(
                    "-XX:AOTCacheOutput=" + UNPACKED.resolve("app.aot"),
                    "-Dwake.rehearse=true",
                    "-Dwake.data=" + UNPACKED.resolve("rehearsal"),
                    "-Dserver.port=0",
                    BUILT_BEANS,
                    "-jar",
                    folder.resolve("wake.jar") + ""));
            run(rehearsal);
            Files.writeString(from, print);
        }
        List<String> start = new ArrayList<>(PLAIN_CACHE);
        start.addAll(unpacked(folder));
        return start;
    }

    private static void run(List<String> command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(
                        ProcessBuilder.Redirect.appendTo(UNPACKED.resolve("log").toFile()))
                .start();
        if (!process.waitFor(5, TimeUnit.MINUTES)) {
            process.destroyForcibly();
        }
        if (process.exitValue() != 0) {
            throw new IOException(
                    "Could not unpack or rehearse the application: " + Files.readString(UNPACKED.resolve("log")));
        }
    }

    private static String fingerprint(Path file) throws IOException {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file)));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
