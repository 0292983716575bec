<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Bench\Reminders;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Illuminate\Support\Str;

/** A machine on the Bench, as its card shows it: from the job's stored summary, without its plan. */
final readonly class BenchCard
{
    /** What stands for a summary that cannot be read: the job is on the Bench, and its page says the rest. */
    public const UNREAD = [
        'done' => 0,
        'total' => 0,
        'hands_left' => 0,
        'walk_left' => 0,
        'put_back' => 0,
        'away' => [],
        'begun' => true,
        'current' => ['title' => 'look, its summary cannot be read', 'state' => 'ready'],
    ];

    private const REASON = 110;

    /**
     * @param  string  $number  four digits
     * @param  string  $by  who touched it last, and how long ago
     * @param  list<array{title: string, until: int}>  $waits  walk-away stones under way; until: seconds since 1970
     * @param  array{whom: string, since: string}|null  $waitsFor  in words
     * @param  string|null  $next  words of the button that leads to the stone
     * @param  array{class: string, words: string}|null  $shut  what shuts the first shut stone
     */
    private function __construct(
        public int $job,
        public string $number,
        public string $title,
        public ?int $slot,
        public string $by,
        public int $done,
        public int $total,
        public int $handsLeft,
        public int $walkLeft,
        public array $waits,
        public ?array $waitsFor,
        public ?string $next,
        public ?array $shut,
        public int $putBack,
        public bool $inTrouble,
    ) {
    }

    /**
     * @param  object{id: int, slot: int|null, title: string, summary: string, by: string, touched: int|null}  $row
     *
     * @throws FieldFault where the summary is none
     */
    public static function of(object $row, Fields $summary, int $now): self
    {
        $current = $summary->optionalBlock('current');
        $waiting = $summary->optionalBlock('waiting');
        $state = $current?->string('state');

        return new self(
            job: $row->id,
            number: sprintf('%04d', $row->id),
            title: $row->title,
            slot: $row->slot,
            by: $row->by.($row->touched === null ? '' : ', '.Words::ago($now - $row->touched)),
            done: $summary->int('done'),
            total: $summary->int('total'),
            handsLeft: (int) round($summary->number('hands_left')),
            walkLeft: (int) round($summary->number('walk_left')),
            waits: array_values(array_map(static fn (Fields $wait): array => [
                'title' => $wait->string('title'),
                'until' => $wait->int('started_at') + $wait->int('likely'),
            ], $summary->blocks('away'))),
            waitsFor: $waiting === null ? null : self::waitsFor($waiting, $now),
            next: $waiting !== null || $current === null ? null : self::next($summary, $current),
            shut: self::shut($summary),
            putBack: $summary->int('put_back'),
            inTrouble: $state === 'trouble',
        );
    }

    /** A mark for each stone, laid or not. */
    public function stones(): string
    {
        $laid = min($this->done, $this->total);

        return str_repeat('<i class="laid"></i>', $laid).str_repeat('<i></i>', $this->total - $laid);
    }

    /** @return array{whom: string, since: string} */
    private static function waitsFor(Fields $waiting, int $now): array
    {
        $for = $waiting->string('for');
        $text = $waiting->string('text');

        return [
            'whom' => Reminders::WAITING_FOR[$for] ?? $for,
            'since' => Words::ago($now - $waiting->int('since')).($text === '' ? '' : ": {$text}"),
        ];
    }

    private static function next(Fields $summary, Fields $current): string
    {
        $asks = match ($current->string('state')) {
            'trouble' => 'Trouble',
            'running' => 'In hand',
            default => $summary->bool('begun') ? 'Needs hands' : 'Begin',
        };

        return "{$asks}: {$current->string('title')}";
    }

    /** @return array{class: string, words: string}|null */
    private static function shut(Fields $summary): ?array
    {
        $all = $summary->has('shut') ? $summary->blocks('shut') : [];
        if ($all === []) {
            return null;
        }
        $word = $all[0]->string('word');
        $reason = Str::limit($all[0]->string('reason'), self::REASON);
        $more = count($all) - 1;

        return [
            'class' => $word === 'stop' ? 'stop' : 'hold',
            'words' => "{$word}: {$reason}".($more > 0 ? " and {$more} more" : ''),
        ];
    }
}
