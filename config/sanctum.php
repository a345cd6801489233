<?php

declare(strict_types=1);

// programs come with a token in the header, and with nothing else
return ['stateful' => [], 'guard' => [], 'expiration' => null, 'token_prefix' => '', 'routes' => false];
