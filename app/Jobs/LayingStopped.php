<?php

declare(strict_types=1);

namespace App\Jobs;

use RuntimeException;

/** Somebody said stop while packages were being unpacked; the folder is as it was before. */
final class LayingStopped extends RuntimeException
{
}
