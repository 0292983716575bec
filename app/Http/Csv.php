<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

/** Rows as a file to take away; a cell that a table program would take for a formula is taken for text. */
final class Csv
{
    /**
     * @param  list<string>  $head
     * @param  list<list<string|int|float|null>>  $rows
     */
    public static function of(string $name, array $head, array $rows): Response
    {
        $file = fopen('php://temp', 'r+b');
        if ($file === false) {
            abort(500);
        }
        foreach ([$head, ...$rows] as $row) {
            fputcsv($file, array_map(self::plain(...), $row), ',', '"', '');
        }
        rewind($file);

        return new Response((string) stream_get_contents($file), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^A-Za-z0-9.-]+/', '-', $name).'"',
        ]);
    }

    private static function plain(string|int|float|null $cell): string
    {
        return is_string($cell) && preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'{$cell}" : (string) $cell;
    }
}
