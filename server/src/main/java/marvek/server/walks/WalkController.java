package marvek.server.walks;

import java.io.IOException;
import java.time.LocalDate;
import java.util.UUID;
import marvek.server.editions.Edition;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
class WalkController {
  private final Walks walks;

  WalkController(Walks walks) {
    this.walks = walks;
  }

  record TickBody(String item, boolean done) {}

  record FinishBody(@Nullable String reason, @Nullable LocalDate validFrom) {}

  /** The walk that goes on, or what one would look at. */
  @GetMapping("/api/circuits/{id}/walk")
  Walks.WalkView getWalk(@PathVariable UUID id) {
    return walks.view(id);
  }

  /** Begins a walk. */
  @PostMapping("/api/circuits/{id}/walk")
  Walks.WalkView beginWalk(@PathVariable UUID id) {
    return walks.begin(id);
  }

  /** Something on the walk's list was looked at. */
  @PutMapping("/api/walks/{id}/ticks")
  Walks.WalkView tickItem(@PathVariable UUID id, @RequestBody TickBody body) {
    return walks.tick(id, body.item(), body.done());
  }

  /** A note on the walk, with a photo where there is one. */
  @PostMapping(path = "/api/walks/{id}/notes", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Walks.WalkView noteOnWalk(
      @PathVariable UUID id,
      @RequestParam(required = false) Double station_m,
      @RequestParam(required = false) String side,
      @RequestParam(required = false) String words,
      @RequestParam(defaultValue = "false") boolean keepPlace,
      @RequestPart(required = false) MultipartFile photo)
      throws IOException {
    byte[] picture = photo == null || photo.isEmpty() ? null : photo.getBytes();
    return walks.note(id, station_m, side, words, picture, keepPlace);
  }

  /** Removes a note of the walk. */
  @DeleteMapping("/api/walks/{id}/notes/{note}")
  Walks.WalkView removeWalkNote(@PathVariable UUID id, @PathVariable UUID note) {
    return walks.dropNote(id, note);
  }

  /** The photo of a note. */
  @GetMapping(path = "/api/walks/{id}/notes/{note}/photo", produces = MediaType.IMAGE_JPEG_VALUE)
  byte[] getPhoto(@PathVariable UUID id, @PathVariable UUID note) {
    return walks.photo(id, note);
  }

  /** Waypoints that were taken on the walk become notes. */
  @PostMapping(path = "/api/walks/{id}/waypoints", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Walks.WalkView addWaypoints(@PathVariable UUID id, @RequestPart("file") MultipartFile file)
      throws IOException {
    return walks.waypoints(id, file.getBytes());
  }

  /** What was found on the walk becomes the next version of the layout. */
  @PostMapping("/api/walks/{id}/finish")
  Walks.Finished finishWalk(
      @PathVariable UUID id,
      @RequestHeader(HttpHeaders.IF_MATCH) Edition seen,
      @RequestBody FinishBody body) {
    return walks.finish(id, body.reason(), body.validFrom(), seen);
  }
}
