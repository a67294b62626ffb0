package marvek.server;

import java.io.IOException;
import marvek.server.sharing.SharedStart;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class MarvekServer {
  public static void main(String[] args) throws IOException {
    SpringApplication.run(MarvekServer.class, new SharedStart(System.getenv()).arguments(args));
  }
}
