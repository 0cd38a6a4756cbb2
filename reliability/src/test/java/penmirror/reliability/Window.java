package penmirror.reliability;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;

/** One browser window: its cookie, and the token of the page it has open. */
final class Window {
  private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");
  private static final Pattern HEADER =
      Pattern.compile("name=\"csrf-header\" content=\"([^\"]+)\"");

  private final String site;
  private final HttpClient http =
      HttpClient.newBuilder()
          .cookieHandler(new CookieManager())
          .connectTimeout(Duration.ofSeconds(5))
          .build();
  private String token = "";
  private String header = "";

  Window(String site) {
    this.site = site;
  }

  /** A small figure on paper, every one another. */
  static byte[] picture(int number) throws IOException {
    BufferedImage image = new BufferedImage(240, 320, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, 240, 320);
    graphics.setColor(new Color(number * 7919 & 0x7F7F7F));
    graphics.fillOval(60 + number % 17, 40, 100, 120);
    graphics.fillRect(80, 150, 70, 60 + number % 90);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  private HttpRequest.Builder to(String path) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(site + path)).timeout(Duration.ofSeconds(30));
    return token.isEmpty() ? request : request.header(header, token);
  }

  private HttpResponse<String> send(HttpRequest request) throws Exception {
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }

  HttpResponse<String> get(String path) throws Exception {
    return send(to(path).build());
  }

  /** Opens a page, wherever it leads. */
  int follow(String path) throws Exception {
    HttpResponse<String> answer = get(path);
    for (int i = 0; i < 3 && answer.statusCode() == 302; i++) {
      String to = answer.headers().firstValue("Location").orElseThrow();
      answer = get(to.startsWith("http") ? to.substring(site.length()) : to);
    }
    return answer.statusCode();
  }

  String open(String path) throws Exception {
    String page = get(path).body();
    Matcher tokens = TOKEN.matcher(page);
    Matcher headers = HEADER.matcher(page);
    if (tokens.find() && headers.find()) {
      token = tokens.group(1);
      header = headers.group(1);
    }
    return page;
  }

  HttpResponse<String> form(String path, String fields) throws Exception {
    return send(
        to(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(fields))
            .build());
  }

  HttpResponse<String> json(String path, String body, int version) throws Exception {
    return send(
        to(path)
            .header("Content-Type", "application/json")
            .header("X-Bench", "true")
            .header("X-Marks-Version", Integer.toString(version))
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  HttpResponse<String> upload(String path, String name, byte[] bytes) throws Exception {
    String border = "pen-mirror-border";
    byte[] head =
        ("--"
                + border
                + "\r\nContent-Disposition: form-data; name=\"files\"; filename=\""
                + name
                + "\"\r\nContent-Type: image/png\r\n\r\n")
            .getBytes(StandardCharsets.UTF_8);
    byte[] tail = ("\r\n--" + border + "--\r\n").getBytes(StandardCharsets.UTF_8);
    return send(
        to(path)
            .header("Content-Type", "multipart/form-data; boundary=" + border)
            .header("HX-Request", "true")
            .POST(HttpRequest.BodyPublishers.ofByteArrays(List.of(head, bytes, tail)))
            .build());
  }
}
