<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Catalogue\CatalogueStore;
use App\Models\BenchPolicy;
use App\Models\Job;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\ComputerName;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Illuminate\Support\Facades\DB;

/** Gives a job's computer its name by the bench's pattern, and sees that no other machine here has it (rule I4). */
final class NameComputer
{
    public function __construct(private readonly JobBridge $bridge, private readonly CatalogueStore $catalogue)
    {
    }

    /**
     * The brief with a name where its path wants one, and its path.
     *
     * @param  array<string, mixed>  $brief
     * @param  Job|null  $job  that has the brief; null for a new one
     * @return array{array<string, mixed>, Plan}
     *
     * @throws BriefFault where another job has the name
     */
    public function planned(array $brief, ?Job $job): array
    {
        $plan = $this->bridge->plan($brief, $job?->id);
        if (! is_string($brief['system'] ?? null) || isset($brief['first_boot']['computer_name'])) {
            return [$brief, $plan];
        }
        $system = $this->catalogue->catalogue()->system($brief['system']);
        if (! self::asks($system, $plan)) {
            return [$brief, $plan];
        }
        $policy = Policy::of([...BenchPolicy::present()->chosen(), ...$brief['policy'] ?? []]);
        $name = ComputerName::propose(
            $policy->text('name_pattern'),
            $brief['slot'] ?? null,
            $system->firstBoot->computerName,
            static fn (string $name): bool => self::taken($name, $job) !== null,
        );
        if ($name === null) {
            return [$brief, $plan];
        }
        $brief['first_boot'] = [...$brief['first_boot'] ?? [], 'computer_name' => $name];

        return [$brief, $this->bridge->plan($brief, $job?->id)];
    }

    /**
     * Writes the name down with the job, in the transaction that writes the brief.
     *
     * @param  array<string, mixed>  $brief
     *
     * @throws BriefFault where another job has it by now
     */
    public static function keep(Job $job, array $brief): void
    {
        $name = $brief['first_boot']['computer_name'] ?? null;
        if ($name === $job->computer_name) {
            return;
        }
        if ($name !== null) {
            // One after the other: two jobs that are opened at once do not get the same.
            DB::statement('select pg_advisory_xact_lock(hashtext(?))', ['computer names']);
            $other = self::taken($name, $job);
            if ($other !== null) {
                throw BriefFault::at(
                    'first_boot.computer_name',
                    "{$other} has \"{$name}\" already. Choose another, or leave it empty.",
                );
            }
        }
        $job->update(['computer_name' => $name]);
    }

    private static function asks(SystemProfile $system, Plan $plan): bool
    {
        return $plan->bringing(PathFact::FIRST_BOOT_DONE) !== null && $system->firstBoot->asks('computer_name');
    }

    /** "job 12, the owner's laptop," which has it; the same machine may come back under its name. */
    private static function taken(string $name, ?Job $job): ?string
    {
        $other = DB::table('jobs')
            ->whereRaw('lower(computer_name) = ?', [strtolower($name)])
            ->when($job !== null, static fn ($jobs) => $jobs->where('id', '<>', $job?->id))
            ->when(
                $job?->machine_serial !== null,
                static fn ($jobs) => $jobs->where(
                    static fn ($jobs) => $jobs->whereNull('machine_serial')
                        ->orWhere('machine_serial', '<>', $job?->machine_serial),
                ),
            )
            ->first(['id', 'title']);

        return $other === null ? null : "job {$other->id}, {$other->title},";
    }
}
