package marvek.server.books;

import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
class OwnLineController {
  private final OwnLines lines;

  OwnLineController(OwnLines lines) {
    this.lines = lines;
  }

  /** Makes a line of a recorded track, for a draft; nothing is kept. */
  @PostMapping(path = "/api/books/{id}/traced-line", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  OwnLines.Traced traceLine(@PathVariable UUID id, @RequestPart("file") MultipartFile file)
      throws IOException {
    return lines.ofFile(id, file.getBytes());
  }
}
