package hamper.server.api;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The contract: the OpenAPI document that the interface is built against. A test works it out from
 * the code and fails where it is another one, so that no start and no question pays for that.
 */
@RestController
@Hidden
class ContractController {
  private static final Resource CONTRACT =
      new ClassPathResource(
          "META-INF/contract/openapi.json", ContractController.class.getClassLoader());

  @GetMapping(path = "/api/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
  Resource contract() {
    return CONTRACT;
  }
}
