<?php

declare(strict_types=1);

namespace App\Retention;

use App\Models\BenchSetting;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\JobPhoto;
use App\Models\LogRecord;
use Cobblestone\Assessment\BackupSteps;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Contents whose time is over, by kind. */
final class Due
{
    private const MOST = 500;

    /** @return list<array{words: string, what: string}> one line a kind; nothing where nothing is due */
    public static function words(): array
    {
        $days = RetentionDays::present();
        if (! self::isAny()) {
            return [];
        }
        $counts = DB::query();
        foreach (self::kinds() as $kind) {
            // Jobs that are over are few; how many is asked for all kinds at once.
            $counts->selectSub(self::query($kind, $days)->toBase()->selectRaw('count(*)'), $kind);
        }
        $lines = [];
        foreach ((array) $counts->first() as $kind => $many) {
            if ((int) $many > 0) {
                $lines[] = [
                    'what' => $kind,
                    'words' => "{$many} ".((int) $many === 1 ? 'job' : 'jobs').': '.RetentionDays::KINDS[$kind][0],
                ];
            }
        }

        return $lines;
    }

    /** Whether anything can be due: most days nothing is old enough, and then nothing has to be counted. */
    public static function isAny(): bool
    {
        $held = (array) DB::query()
            ->selectSub(BenchSetting::named(RetentionDays::NAME), 'days')
            ->selectSub(DB::table('jobs')->selectRaw('min(handed_over_at)::text'), 'over')
            ->selectSub(DB::table('jobs')->selectRaw('min(delete_by)::text'), 'agreed')
            ->first();
        $days = RetentionDays::read($held['days']);
        $soonest = now()->subDays(min(array_map(static fn (string $kind): int => $days->days[$kind], self::kinds())));

        return ($held['over'] !== null && $soonest->gte($held['over'])) ||
            ($held['agreed'] !== null && $held['agreed'] <= self::today());
    }

    /** @return non-empty-list<string> kinds that become due; keys end by themselves */
    private static function kinds(): array
    {
        return ['backups', 'photos', 'owner', 'jobs'];
    }

    /** @return Collection<int, Job> */
    public static function jobs(string $kind): Collection
    {
        $query = self::query($kind, RetentionDays::present());
        $query->getQuery()->orderBy('id')->limit(self::MOST);

        return $query->get()->values();
    }

    /** The day it is at the bench. */
    private static function today(): string
    {
        return now((string) config('cobblestone.timezone'))->format('Y-m-d');
    }

    /** @return Builder<Job> */
    private static function query(string $kind, RetentionDays $days): Builder
    {
        $over = Job::query();
        $query = $over->getQuery();
        $byDays = static fn (QueryBuilder $of): QueryBuilder => $of
            ->where('handed_over_at', '<=', now()->subDays($days->days[$kind]));
        // A day that was agreed with the owner counts before the bench's own number of days.
        $kind === 'backups'
            ? $query->where(static fn (QueryBuilder $of): QueryBuilder => $of
                ->where('delete_by', '<=', self::today())
                ->orWhere(static fn (QueryBuilder $or): QueryBuilder => $byDays($or->whereNull('delete_by'))))
            : $byDays($query);
        match ($kind) {
            'photos' => $query->where(static fn (QueryBuilder $of): QueryBuilder => $of
                ->whereIn('id', FirmwareSnapshot::query()->getQuery()->whereNotNull('photo')->select('job_id'))
                ->orWhereIn('id', JobPhoto::query()->getQuery()->select('job_id'))),
            'backups' => $query
                ->whereNull('backup_gone_at')
                ->whereIn(
                    'id',
                    LogRecord::query()
                        ->getQuery()
                        ->where('kind', 'done')
                        ->where('step', BackupSteps::COPIES)
                        ->select('job_id'),
                ),
            'owner' => $query->whereNull('owner_removed_at'),
            default => $query->whereNull('contents_removed_at'),
        };

        return $over;
    }
}
