package marvek.server.walks;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.lang.GeoLocation;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;

/**
 * A photo as it is kept: drawn anew and written as JPEG, so that nothing of the file but the
 * picture remains.
 *
 * @param place where it was taken, or null if the file does not say
 */
record Photo(byte[] jpeg, GeoLocation place) {
  private static final int LARGEST_BYTES = 16 * 1024 * 1024;

  /** Read no more pixels than this: a small file can hold a huge picture. */
  private static final long MOST_PIXELS = 60_000_000;

  /** Longest side of what is kept [px]. */
  private static final int KEPT_PX = 1600;

  private static final float QUALITY = 0.82f;

  /**
   * Reads a PNG or JPEG.
   *
   * @throws BadFileException if it is neither, or too large
   */
  static Photo read(byte[] bytes) {
    if (bytes.length > LARGEST_BYTES) {
      throw BadFileException.whole(Sentence.of("file.photo-large"));
    }
    try {
      Metadata metadata = metadata(bytes);
      BufferedImage upright = upright(decode(bytes), orientation(metadata));
      return new Photo(encode(upright), place(metadata));
    } catch (IOException | RuntimeException e) {
      if (e instanceof BadFileException bad) {
        throw bad;
      }
      throw notAPicture();
    }
  }

  private static BadFileException notAPicture() {
    return BadFileException.whole(Sentence.of("file.no-photo"));
  }

  private static BufferedImage decode(byte[] bytes) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      while (readers.hasNext()) {
        ImageReader reader = readers.next();
        String format = reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
        if (format.equals("png") || format.equals("jpeg")) {
          return decode(reader, in);
        }
      }
    }
    throw notAPicture();
  }

  private static BufferedImage decode(ImageReader reader, ImageInputStream in) throws IOException {
    try {
      reader.setInput(in, true, true);
      if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
        throw BadFileException.whole(Sentence.of("file.photo-pixels"));
      }
      return reader.read(0);
    } finally {
      reader.dispose();
    }
  }

  private static Metadata metadata(byte[] bytes) {
    try {
      return ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
    } catch (ImageProcessingException | IOException e) {
      return new Metadata();
    }
  }

  private static int orientation(Metadata metadata) {
    ExifIFD0Directory directory = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    try {
      boolean said = directory != null && directory.containsTag(ExifIFD0Directory.TAG_ORIENTATION);
      return said ? directory.getInt(ExifIFD0Directory.TAG_ORIENTATION) : 1;
    } catch (MetadataException e) {
      return 1;
    }
  }

  private static GeoLocation place(Metadata metadata) {
    GpsDirectory directory = metadata.getFirstDirectoryOfType(GpsDirectory.class);
    GeoLocation place = directory == null ? null : directory.getGeoLocation();
    return place == null || place.isZero() ? null : place;
  }

  /** Scaled down and turned as the camera was held (Exif orientations 1, 3, 6 and 8). */
  private static BufferedImage upright(BufferedImage image, int orientation) {
    int w = image.getWidth();
    int h = image.getHeight();
    boolean onItsSide = orientation == 6 || orientation == 8;
    double scale = Math.min(1, KEPT_PX / (double) Math.max(w, h));
    int width = Math.max(1, (int) Math.round((onItsSide ? h : w) * scale));
    int height = Math.max(1, (int) Math.round((onItsSide ? w : h) * scale));
    BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    AffineTransform turn = AffineTransform.getTranslateInstance(width / 2.0, height / 2.0);
    turn.rotate(
        switch (orientation) {
          case 3 -> Math.PI;
          case 6 -> Math.PI / 2;
          case 8 -> -Math.PI / 2;
          default -> 0;
        });
    turn.scale(scale, scale);
    turn.translate(-w / 2.0, -h / 2.0);
    Graphics2D g = drawn.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    g.drawImage(image, turn, null);
    g.dispose();
    return drawn;
  }

  private static byte[] encode(BufferedImage image) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(QUALITY);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), how);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
