<?php

declare(strict_types=1);

namespace App\Jobs;

use RuntimeException;

/** Somebody stopped it while it was fetched. */
final class FetchStopped extends RuntimeException
{
}
