<?php

declare(strict_types=1);

namespace App\Answers;

use RuntimeException;

/** A template that cannot be filled in, or that gives no file of its format: what, and in which line. */
final class AnswerFault extends RuntimeException
{
}
