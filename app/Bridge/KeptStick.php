<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\StickState;
use Cobblestone\Document\Fields;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which open jobs want one stick: the first has it, the others wait for it (rule M12). */
final readonly class KeptStick
{
    /** So many that wait for one stick are told. */
    private const MOST = 40;

    /**
     * @param  non-empty-list<array{id: int, title: string, until: string}>  $jobs  the first has it
     * @param  mixed  $madeFor  number of the job that it was made for, where it was for one
     */
    private function __construct(public array $jobs, private mixed $madeFor)
    {
    }

    /**
     * The job that it was made for has it; else the one that was taken in first.
     *
     * @param  non-empty-list<array{id: int, title: string, until: string}>  $jobs
     */
    public static function among(array $jobs, ?StickState $state): self
    {
        $made = $state->content['job'] ?? null;
        usort($jobs, static fn (array $a, array $b): int => [$b['id'] === $made, $a['id']]
            <=> [$a['id'] === $made, $b['id']]);

        return new self($jobs, $made);
    }

    /** @return array{id: int, title: string, until: string} */
    public function holder(): array
    {
        return $this->jobs[0];
    }

    /** Whether that job may take it: nobody else has it, or it was made for that job. */
    public function isFor(int $job): bool
    {
        return $this->holder()['id'] === $job || $this->madeFor === $job;
    }

    /** Whether the job that has it has it because it was made for it: to write it anew is to take it away. */
    public function isMadeForHolder(): bool
    {
        return $this->madeFor === $this->holder()['id'];
    }

    /** By its number alone, as a path keeps it: what another job is called is that job's. */
    public function number(): string
    {
        return "job {$this->holder()['id']} until \"{$this->holder()['until']}\" is laid";
    }

    public function words(): string
    {
        $holder = $this->holder();

        return "{$holder['title']} until \"{$holder['until']}\" is laid";
    }

    /**
     * Open jobs that have a stick in hand, as rows that a list of what happened to sticks takes up: kind "wanted", with
     * number, title and freeing stone as data.
     */
    public static function wanting(): Builder
    {
        return DB::table('jobs')
            ->where('status', 'open')
            ->whereNotNull('stick_in_hand')
            ->selectRaw(<<<'SQL'
                id, stick_in_hand as slug, 'wanted' as kind,
                json_build_object('id', id, 'title', title, 'until', summary->'stick'->>'until') as data
                SQL);
    }

    /** Of each stick those jobs alone that can have it: the first that wants it, and the one it was made for. */
    public static function holding(): Builder
    {
        $first = DB::table('jobs')
            ->where('status', 'open')
            ->whereNotNull('stick_in_hand')
            ->groupBy('stick_in_hand')
            ->selectRaw('min(id)');
        $made = DB::table('stick_states')
            ->whereRaw("content->>'job' is not null")
            ->selectRaw("(content->>'job')::bigint");

        return self::wanting()->where(fn (Builder $one) => $one->whereIn('id', $first)->orWhereIn('id', $made));
    }

    /**
     * @param  array<array-key, mixed>  $data  as such a row tells it
     * @return array{id: int, title: string, until: string}
     */
    public static function told(array $data): array
    {
        $fields = Fields::of($data);

        return [
            'id' => $fields->int('id'), 'title' => $fields->string('title'), 'until' => $fields->string('until'),
        ];
    }

    /** @return self|null null where nobody wants it */
    public static function of(string $slug): ?self
    {
        $jobs = [];
        $wanting = self::wanting()->where('stick_in_hand', $slug);
        foreach ($wanting->orderBy('id')->limit(self::MOST)->get() as $row) {
            $jobs[] = self::told((array) json_decode((string) $row->data, true));
        }

        return $jobs === [] ? null : self::among($jobs, StickState::of($slug));
    }
}
