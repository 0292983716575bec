<?php

namespace App\Actions;

use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use App\Documents\BriefDocument;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Boot\Outcome;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;

/** The bench of the Quillport Ferry Co-operative: people, catalogue, and four jobs at different stages. */
final class DemoWorld
{
    private const PASSWORD = 'quillport';

    public function __construct(private readonly CatalogueStore $catalogue, private readonly OpenJob $open, private readonly WalkStep $walk, private readonly TakeSnapshot $snapshot, private readonly RecordReality $reality)
    {
    }

    public function load(): void
    {
        DB::transaction(function (): void {
            $people = $this->people();
            $this->catalogue->replace(CatalogueFolder::read(config('cobblestone.catalogue'))->catalogue()->toArray());
            $now = Date::now();
            $this->walked($people, 'fairlead-13', $now->clone()->subMinutes(17), 3);
            $this->walked($people, 'capstan-t3', $now->clone()->subMinutes(110), 18);
            $this->walked($people, 'pocket-lantern', $now->clone()->subMinutes(31), 5);
            $this->walked($people, 'repair', $now->clone()->subMinutes(46), 2);
            $this->walked($people, 'drive-swap', $now->clone()->subMinutes(75), 4);
            Date::setTestNow($now->clone()->subMinutes(4));
            $this->open->handle($people['lead'], BriefDocument::fromFile(base_path('docs/guide/briefs/unknown-laptop.yaml')));
            Date::setTestNow();
            $this->walked($people, 'firmware-update', $now->clone()->subMinutes(58), 7);
            $this->otherwise($people['evening']);
            $this->walked($people, 'locked-capstan', $now->clone()->subMinutes(12), 2);
            $this->walked($people, 'cable-restore', $now->clone()->subMinutes(9), 1);
        });
    }

    /** Settings read off the Fairlead, and a start that ended otherwise than predicted. */
    private function otherwise(User $user): void
    {
        $job = Job::query()->latest('id')->firstOrFail();
        $settings = Setting::ofModel($this->catalogue->catalogue()->machine('norrel-fairlead-13'));
        foreach ([['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => 'on', 'security_chip' => 'on'], ['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => 'off', 'security_chip' => 'on']] as $values) {
            $this->snapshot->handle($job, $user, Snapshot::of($values, $settings), $settings, 'form', null, null, (int) $job->refresh()->last_entry);
        }
        $this->snapshot->handle($job, $user, Snapshot::of(['secure_boot' => 'on'], $settings), $settings, 'form', null, null, (int) $job->refresh()->last_entry);
        $this->reality->handle($job, $user, 'firmware.re-enter', 1, Outcome::RecoveryKeyPrompt, false, (int) $job->refresh()->last_entry);
    }

    /** @return array<string, User> */
    public function people(): array
    {
        $people = [];
        foreach ([['lead', 'bench lead', 'lead'], ['evening', 'evening technician', 'technician'], ['viewer', 'ferry office', 'viewer']] as [$login, $title, $role]) {
            $people[$login] = User::query()->create(['login' => $login, 'title' => $title, 'role' => $role, 'password' => self::PASSWORD]);
        }

        return $people;
    }

    /**
     * Opens a brief's job at that time and lays its first stones, each as long as its estimate says.
     *
     * @param  array<string, User>  $people
     */
    private function walked(array $people, string $brief, \Illuminate\Support\Carbon $from, int $stones): void
    {
        Date::setTestNow($from);
        $job = $this->open->handle($people['lead'], BriefDocument::fromFile(base_path("docs/guide/briefs/{$brief}.yaml")));
        foreach (array_slice($job->currentPlan()->plan['steps'], 0, $stones) as $step) {
            $this->lay($job, $people['evening'], $step);
        }
        Date::setTestNow();
    }

    /** @param  array<string, mixed>  $step */
    private function lay(Job $job, User $user, array $step): void
    {
        $act = function (string $action, array $input = []) use ($job, $user, $step): void {
            $this->walk->handle($job, $user, $step['id'], $action, $input, (int) Job::query()->whereKey($job->id)->value('last_entry'));
        };
        if ($step['one_way']) {
            $act('confirm', ['serial' => substr((string) $step['confirmation']['serial'], -4)]);
        } else {
            $act($step['presence'] === 'walk-away' ? 'walk' : 'start');
        }
        Date::setTestNow(Date::now()->addSeconds((int) round($step['minutes']['likely'] * 60)));
        $act('done', ['evidence' => self::evidence($step['evidence'])]);
    }

    /**
     * @param  list<array<string, mixed>>  $wanted
     * @return array<string, string>
     */
    private static function evidence(array $wanted): array
    {
        $given = [];
        foreach ($wanted as $item) {
            $given[$item['id']] = match ($item['id']) {
                'files_source', 'files_copy' => '2210', 'bytes_source', 'bytes_copy' => '3221225472', 'checksums' => 'equal', 'samples' => '3',
                'condition' => 'two scratches on the lid; charger in the bag', 'agreed_by' => 'the counter lead', 'agreed_how' => 'in-writing',
                default => $item['kind'] === 'count' ? '80' : ($item['kind'] === 'choice' ? (string) array_key_first((array) $item['options']) : 'as listed'),
            };
        }

        return $given;
    }
}
