package marvek.server.sessions;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The radio's stand-in over HTTP. */
@RestController
class RadioController {
  private final SimulatedRadio radio;

  RadioController(SimulatedRadio radio) {
    this.radio = radio;
  }

  record SayBody(String words) {}

  /**
   * @param last number of the newest message, to ask after next time
   */
  record Heard(boolean simulated, long last, List<SimulatedRadio.Message> messages) {}

  /** Says something over the radio. */
  @PostMapping("/api/radio")
  @ResponseStatus(HttpStatus.CREATED)
  SimulatedRadio.Message sayOverRadio(@RequestBody SayBody body) {
    return radio.say(body.words());
  }

  /** What was said over the radio after a message. */
  @GetMapping("/api/radio")
  Heard listHeard(@RequestParam(defaultValue = "0") long after) {
    return new Heard(true, radio.last(), radio.after(after));
  }
}
