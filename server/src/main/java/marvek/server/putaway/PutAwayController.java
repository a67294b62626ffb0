package marvek.server.putaway;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PutAwayController {
  private final PutAway putAway;

  PutAwayController(PutAway putAway) {
    this.putAway = putAway;
  }

  /** All that is put away, with what goes when it is removed. */
  @GetMapping("/api/put-away")
  List<PutAway.AwayView> listPutAway() {
    return putAway.list();
  }

  /** Puts a book, circuit, car, session or file of laps away; it can be taken back for 30 days. */
  @PutMapping("/api/put-away/{kind}/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putThingAway(@PathVariable String kind, @PathVariable UUID id) {
    putAway.putAway(kind, id);
  }

  /**
   * The demo on the shelf.
   *
   * @param things ids of its books, circuits and cars that are not put away
   */
  record DemoView(List<UUID> things) {}

  /** What of the demo is on the shelf. */
  @GetMapping("/api/put-away/demo")
  DemoView getDemo() {
    return new DemoView(putAway.demoThere());
  }

  /** Puts the whole demo away, as far as it is still there. */
  @PutMapping("/api/put-away/demo")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putDemoAway() {
    putAway.putDemoAway();
  }

  /** Takes it back to where it was. */
  @PostMapping("/api/put-away/{kind}/{id}/take-back")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void takeThingBack(@PathVariable String kind, @PathVariable UUID id) {
    putAway.takeBack(kind, id);
  }

  /** Removes for good what is put away, with all that belongs to it. */
  @DeleteMapping("/api/put-away/{kind}/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeForGood(@PathVariable String kind, @PathVariable UUID id) {
    putAway.remove(kind, id);
  }
}
