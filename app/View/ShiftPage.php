<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\Shifts;
use App\Models\BenchEvent;
use Cobblestone\Bench\ShiftLine;
use Cobblestone\Bench\Standing;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A shift: what was done on which job, and how each stands for whoever comes next. */
final readonly class ShiftPage
{
    private const OPEN = 60;

    /**
     * @param  array<int, ShiftLine>  $lines
     * @param  array<int, Standing>  $standing
     * @param  array<int, string>  $titles  job => its name
     */
    private function __construct(
        public ?BenchEvent $note,
        public ?BenchEvent $since,
        private array $lines,
        private array $standing,
        private array $titles,
        private string $zone,
        public int $through,
    ) {
    }

    /** What has happened since the last note. */
    public static function now(): self
    {
        $since = Shifts::last();
        $through = Shifts::newest();
        $lines = Shifts::lines($since, $through, now());
        $rows = DB::table('jobs')->where('status', 'open')->orWhereIn('id', array_keys($lines))
            ->orderByRaw('slot nulls last')->orderBy('id')->limit(self::OPEN)->get(['id', 'title', 'summary']);
        $standing = [];
        foreach ($rows as $row) {
            try {
                $standing[(int) $row->id] = Standing::of(Fields::of(json_decode($row->summary, true), 'summary'));
            } catch (FieldFault $e) {
                report($e);
            }
        }

        return new self(null, $since, $lines, $standing, self::titles($lines, $standing), self::zone(), $through);
    }

    public static function of(BenchEvent $note): self
    {
        $since = Shifts::last($note);
        $through = (int) ($note->data['through'] ?? 0);
        $lines = Shifts::lines($since, $through, $note->created_at);
        $standing = [];
        foreach ((array) ($note->data['standing'] ?? []) as $job => $kept) {
            $standing[(int) $job] = Standing::read(Fields::of($kept));
        }

        return new self($note, $since, $lines, $standing, self::titles($lines, $standing), self::zone(), $through);
    }

    /**
     * @param  array<int, ShiftLine>  $lines
     * @param  array<int, Standing>  $standing
     * @return array<int, string>
     */
    private static function titles(array $lines, array $standing): array
    {
        $jobs = array_keys($lines + $standing);

        return array_map(strval(...), DB::table('jobs')->whereIn('id', $jobs)->pluck('title', 'id')->all());
    }

    private static function zone(): string
    {
        return (string) config('cobblestone.timezone');
    }

    public function from(): string
    {
        return $this->since === null
            ? 'the last sixteen hours; no note was written before'
            : 'since '.$this->day($this->since->created_at).', '.($this->since->user->title ?? 'nobody');
    }

    /** Where the log is too long to be told whole. */
    public function cut(): string
    {
        return Shifts::isCut($this->since, $this->through)
            ? 'Only the newest '.Shifts::MOST.' entries of the log are told here; the Logbook has the others.'
            : '';
    }

    public function words(): string
    {
        return is_string($this->note?->data['words'] ?? null) ? $this->note->data['words'] : '';
    }

    public function by(): string
    {
        return $this->note === null
            ? ''
            : ($this->note->user->title ?? 'nobody').', '.$this->day($this->note->created_at);
    }

    private function day(Carbon $at): string
    {
        return $at->copy()->timezone($this->zone)->format('j M, H:i');
    }

    public function isEmpty(): bool
    {
        return $this->lines === [] && $this->standing === [];
    }

    /** @return array<int, array<string, mixed>> job => how it stands, to be kept */
    public function standing(): array
    {
        return array_map(static fn (Standing $one): array => $one->toArray(), $this->standing);
    }

    /** @return list<ShiftJob> those that somebody worked on first */
    public function jobs(): array
    {
        $jobs = [];
        foreach (array_keys($this->lines + $this->standing) as $job) {
            $jobs[] = new ShiftJob(
                $job,
                $this->titles[$job] ?? 'a job that is gone',
                $this->lines[$job] ?? null,
                $this->standing[$job] ?? null,
                $this->zone,
            );
        }

        return $jobs;
    }
}
