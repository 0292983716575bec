<?php

declare(strict_types=1);

namespace App\Models;

use App\Database\Kept;
use App\Database\ReadAlong;
use Illuminate\Contracts\Database\Eloquent\Builder as ContractsBuilder;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;

/** How the job that an address names is read. */
trait JobOfAddress
{
    /**
     * The marks of this row and of its path, the transactions that wrote them: what was worked out while they stood is
     * at hand.
     *
     * @param  Builder<self>  $query
     */
    private static function withMarks(Builder $query): void
    {
        if (Kept::isThere()) {
            $query->getQuery()->select('jobs.*')
                ->selectRaw('jobs.xmin::text as mark, path_mark(jobs.id, jobs.revision) as path_mark');
        }
    }

    /**
     * A page that only shows reads the marks along; whoever changes something reads them with the row that is held.
     *
     * @param  Model|ContractsBuilder|Relation<Model, Model, mixed>  $query
     * @param  mixed  $value
     * @param  string|null  $field
     */
    public function resolveRouteBindingQuery($query, $value, $field = null): ContractsBuilder
    {
        if ($query instanceof self && request()->isMethodSafe()) {
            $query = self::query();
            self::withMarks($query);
        }

        return parent::resolveRouteBindingQuery($query, $value, $field);
    }

    /**
     * A page that only shows has its row with the session already.
     *
     * @param  mixed  $value
     * @param  string|null  $field
     */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        $row = $field === null && is_numeric($value) ? ReadAlong::ofJob((int) $value) : null;
        if ($row === null) {
            return parent::resolveRouteBinding($value, $field);
        }

        return $this->newFromBuilder(Kept::isThere() ? $row : array_diff_key($row, ['mark' => 0, 'path_mark' => 0]));
    }
}
