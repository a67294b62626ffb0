package marvek.server.cars;

import java.io.IOException;
import java.util.List;
import marvek.formats.CarJson;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
class CarController {
  private final Cars cars;

  CarController(Cars cars) {
    this.cars = cars;
  }

  @GetMapping("/api/cars")
  List<Cars.Summary> list() {
    return cars.list();
  }

  @PostMapping(path = "/api/cars/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  Cars.ImportAnswer importFile(@RequestPart("file") MultipartFile file) throws IOException {
    return cars.importFile(file.getBytes());
  }

  @GetMapping(path = "/api/schemas/car.schema.json", produces = "application/schema+json")
  byte[] schema() {
    return CarJson.schemaFile();
  }
}
