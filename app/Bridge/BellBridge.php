<?php

namespace App\Bridge;

use Cobblestone\Bench\Bell;
use Illuminate\Support\Facades\DB;

/** The bell over all open jobs, from their stored summaries. */
final class BellBridge
{
    private const ATTRIBUTE = 'bell';

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

    /** @return list<array{id: int, slot: int|null, title: string, summary: array<string, mixed>}> */
    private static function open(): array
    {
        // Every page asks: rows are read as they are, without a model for each. A summary is half a kilobyte: picking
        // what can ring out of it costs the database four times what giving it whole does.
        $rows = DB::table('jobs')
            ->where('status', 'open')
            ->orWhere('remind_at', '<=', now())
            ->get(['id', 'slot', 'title', 'summary']);

        return array_values($rows->map(static fn (object $row): array => [
            'id' => (int) $row->id,
            'slot' => $row->slot === null ? null : (int) $row->slot,
            'title' => (string) $row->title,
            'summary' => (array) json_decode((string) $row->summary, true),
        ])->all());
    }
}
