<?php

declare(strict_types=1);

namespace App\View;

use App\Retention\Due;
use App\Retention\DueCopy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Illuminate\Support\Facades\DB;

/** The Bench: the machines that are open, and what the lead sees beside them. */
final readonly class BenchPage
{
    private const MOST = 60;

    /**
     * @param  list<BenchCard>  $cards
     * @param  list<string>  $copies  of owners' files that are to be deleted, in words
     */
    private function __construct(
        public array $cards,
        public string $count,
        public ?SafeKeepingNote $keeping,
        public array $copies,
    ) {
    }

    /** @param  bool  $works  whether the person works at the bench, and so deletes what is due */
    public static function now(bool $lead, bool $works): self
    {
        $now = (int) now()->timestamp;
        $cards = [];
        foreach (self::rows() as $row) {
            try {
                $cards[] = BenchCard::of($row, Fields::of(json_decode($row->summary, true), 'summary'), $now);
            } catch (FieldFault $e) {
                report($e);
                $cards[] = BenchCard::of($row, Fields::of(BenchCard::UNREAD), $now);
            }
        }
        $many = count($cards);

        $due = $works && Due::isAny();

        return new self(
            $cards,
            "{$many} open ".($many === 1 ? 'job' : 'jobs'),
            $lead ? SafeKeepingNote::now($due) : null,
            $due ? array_map(static fn (DueCopy $one): string => $one->sentence(), DueCopy::all()) : [],
        );
    }

    /** @return list<object{id: int, slot: int|null, title: string, summary: string, by: string, touched: int|null}> */
    private static function rows(): array
    {
        $rows = DB::table('jobs')
            ->leftJoin('log_entries as entry', 'entry.id', '=', 'jobs.last_entry')
            ->where('jobs.status', 'open')
            ->orderByRaw('jobs.slot nulls last')
            ->orderBy('jobs.id')
            ->limit(self::MOST)
            ->get([
                'jobs.id',
                'jobs.slot',
                'jobs.title',
                'jobs.summary',
                // Who wrote last, or else who opened it. Two joins would take longer to plan than all else here.
                DB::raw('(select title from users where id = coalesce(entry.user_id, jobs.user_id)) as by'),
                DB::raw('extract(epoch from entry.created_at)::bigint as touched'),
            ]);

        return array_values($rows->map(static fn (object $row): object => (object) [
            'id' => (int) $row->id,
            'slot' => $row->slot === null ? null : (int) $row->slot,
            'title' => (string) $row->title,
            'summary' => (string) $row->summary,
            'by' => (string) $row->by,
            'touched' => $row->touched === null ? null : (int) $row->touched,
        ])->all());
    }
}
