package marvek.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class MarvekServer {
  public static void main(String[] args) {
    SpringApplication.run(MarvekServer.class, args);
  }
}
