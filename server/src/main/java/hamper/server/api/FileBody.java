package hamper.server.api;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** For the contract: the body is the bytes of a file, as they are. */
@RequestBody(
    required = true,
    content =
        @Content(
            mediaType = "application/octet-stream",
            schema = @Schema(type = "string", format = "binary")))
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface FileBody {}
