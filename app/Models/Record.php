<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A row of one of our tables. */
abstract class Record extends Model
{
    use StartsByName;
}
