package wake.store.backups;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;

/** Files that are on the disk when a call returns, and that only their owner may read. */
public final class Durable {
    private Durable() {}

    /** Moves a finished file to its place: its bytes first, then its name, so that it appears whole or not at all. */
    public static void move(Path from, Path to) throws IOException {
        sync(from);
        ownerOnly(from);
        Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        syncFolderOf(to);
    }

    /** Writes a small file whole, or not at all. */
    public static void write(Path file, byte[] bytes) throws IOException {
        Path part = file.resolveSibling(file.getFileName() + ".new");
        Files.write(part, bytes);
        move(part, file);
    }

    /** Deletes a file so that it stays deleted. */
    public static void delete(Path file) throws IOException {
        if (Files.deleteIfExists(file)) {
            syncFolderOf(file);
        }
    }

    private static void sync(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** The names in a folder; where the system cannot do that, nothing. */
    private static void syncFolderOf(Path file) {
        Path folder = file.toAbsolutePath().getParent();
        if (folder == null) {
            return;
        }
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException notHere) {
            return;
        }
    }

    /** Lets only the owner read and write a file, or enter a folder, where the file system knows owners. */
    public static void ownerOnly(Path path) throws IOException {
        PosixFileAttributeView view = Files.getFileAttributeView(path, PosixFileAttributeView.class);
        if (view != null) {
            view.setPermissions(PosixFilePermissions.fromString(Files.isDirectory(path) ? "rwx------" : "rw-------"));
        }
    }
}
