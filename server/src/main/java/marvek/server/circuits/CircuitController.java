package marvek.server.circuits;

import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/circuits")
class CircuitController {
  private final Circuits circuits;

  CircuitController(Circuits circuits) {
    this.circuits = circuits;
  }

  @GetMapping
  List<Circuits.Summary> list() {
    return circuits.list();
  }

  @PostMapping(path = "/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Circuits.ImportAnswer importFile(
      @RequestPart("file") MultipartFile file, @RequestParam(required = false) String name)
      throws IOException {
    return circuits.importFile(file.getBytes(), name, file.getOriginalFilename());
  }
}
