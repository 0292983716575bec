<?php

namespace App\Bridge;

use App\Database\ReadAlong;
use Cobblestone\Bench\Bell;
use Illuminate\Support\Facades\DB;

/** The bell over all open jobs, from their stored summaries. */
final class BellBridge
{
    public const ATTRIBUTE = 'bell';

    /**
     * @return list<array{job: int, slot: int|null, title: string, step: string, action: string, due: int,
     *     overdue: bool}>
     */
    public function items(): array
    {
        $request = request();
        // A page that only shows asks twice, for its frame and for itself; one that changes something asks anew.
        if (! $request->isMethodCacheable()) {
            return Bell::ring(self::open(), (int) now()->timestamp);
        }
        if (! $request->attributes->has(self::ATTRIBUTE)) {
            $request->attributes->set(self::ATTRIBUTE, Bell::ring(self::open(), (int) now()->timestamp));
        }

        return $request->attributes->get(self::ATTRIBUTE);
    }

    /**
     * Every open job and every day that has come, as one text of JSON: every page asks. A summary is half a kilobyte:
     * picking what can ring out of it costs the database four times what giving it whole does.
     *
     * @return list<array{id: int, slot: int|null, title: string, summary: array<string, mixed>}>
     */
    private static function open(): array
    {
        $text = ReadAlong::of(self::ATTRIBUTE) ?? DB::scalar('select bell_rows(?)', [now()]);

        /** @var list<array{int, int|null, string, array<string, mixed>}> $rows */
        $rows = json_decode((string) $text, true);

        return array_map(static fn (array $row): array => [
            'id' => $row[0],
            'slot' => $row[1],
            'title' => $row[2],
            'summary' => $row[3],
        ], $rows);
    }
}
