<?php

declare(strict_types=1);

namespace App\Jobs;

use RuntimeException;

/** Somebody said stop while a medium was being started. */
final class StartStopped extends RuntimeException
{
}
