<?php

namespace App\Drawing;

use Cobblestone\Document\Fields;

/**
 * A partition as a plan or a record keeps it.
 *
 * @phpstan-import-type Part from CoreDrawing
 */
final class StoredPart
{
    /**
     * A partition of a plan's or record's layout as a band of the drawing.
     *
     * @param  mixed  $partition  as the layout was stored
     * @param  int  $sector  bytes of one
     * @return Part
     */
    public static function of(mixed $partition, int $sector, string $role, bool $lost = false): array
    {
        $fields = Fields::of($partition);
        $first = $fields->optionalInt('first_sector');

        return [
            'name' => $fields->string('name'),
            'from' => ($first ?? 0) * $sector,
            'bytes' => $fields->int('bytes'),
            'role' => $role,
            'lost' => $lost,
            'first_sector' => $first,
            'sectors' => $fields->optionalInt('sectors'),
            'type' => $fields->optionalString('type'),
            'file_system' => $fields->optionalString('file_system'),
        ];
    }
}
