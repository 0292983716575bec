<?php

namespace App\Actions;

use App\Bridge\JobBridge;
use App\Catalogue\CatalogueFolder;
use App\Catalogue\CatalogueStore;
use App\Documents\BriefDocument;
use App\Models\BenchSetting;
use App\Models\Job;
use App\Models\User;
use Closure;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WalkThrough;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;

/** The bench of the Quillport Ferry Co-operative: people, catalogue, and four jobs at different stages. */
final class DemoWorld
{
    private const PASSWORD = 'quillport';

    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly OpenJob $open,
        private readonly WalkStep $walk,
        private readonly TakeSnapshot $snapshot,
        private readonly RecordReality $reality,
        private readonly JobBridge $bridge,
    ) {
    }

    /** What stands on its papers. */
    public static function nameShop(): void
    {
        BenchSetting::put(BenchSetting::SHOP, 'Quillport Ferry Co-operative · device bench');
    }

    /** @param  Closure(): void  $catalogued  what is done once the catalogue stands, before jobs are planned */
    public function load(Closure $catalogued): void
    {
        self::nameShop();
        DB::transaction(function () use ($catalogued): void {
            $people = $this->people();
            $this->catalogue->replace(CatalogueFolder::read(config('cobblestone.catalogue'))->catalogue()->toArray());
            $catalogued();
            $now = Date::now();
            $this->walked($people, 'fairlead-13', $now->clone()->subMinutes(17), 3);
            $this->walked($people, 'capstan-t3', $now->clone()->subMinutes(110), 19);
            $this->walked($people, 'pocket-lantern', $now->clone()->subMinutes(31), 5);
            $this->walked($people, 'repair', $now->clone()->subMinutes(46), 2);
            $this->walked($people, 'drive-swap', $now->clone()->subMinutes(75), 4);
            Date::setTestNow($now->clone()->subMinutes(4));
            $this->open->handle(
                $people['lead'],
                BriefDocument::fromFile(base_path('docs/guide/briefs/unknown-laptop.yaml')),
            );
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
        $settings = $this->readSettings($job, $user);
        $this->snapshot->handle(
            $job,
            $user,
            new SettingsSeen(Snapshot::of(['secure_boot' => 'on'], $settings), $settings, 'form'),
            (int) $job->refresh()->last_entry,
        );
        $this->reality->handle(
            $job,
            $user,
            ['step' => 'firmware.re-enter', 'number' => 1, 'of_model' => false],
            Outcome::RecoveryKeyPrompt,
            (int) $job->refresh()->last_entry,
        );
    }

    /**
     * @return list<Setting>
     */
    private function readSettings(Job $job, User $user): array
    {
        $settings = array_map(
            Setting::of(...),
            $this->catalogue->catalogue()->machine('norrel-fairlead-13')->settings(),
        );
        foreach (
            [
                ['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => 'on', 'security_chip' => 'on'],
                ['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => 'off', 'security_chip' => 'on'],
            ] as $values
        ) {
            $this->snapshot->handle(
                $job,
                $user,
                new SettingsSeen(Snapshot::of($values, $settings), $settings, 'form'),
                (int) $job->refresh()->last_entry,
            );
        }

        return $settings;
    }

    /** @return array<string, User> */
    public function people(): array
    {
        $people = [];
        foreach (
            [
                ['lead', 'bench lead', 'lead'],
                ['evening', 'evening technician', 'technician'],
                ['viewer', 'ferry office', 'viewer'],
            ] as [$login, $title, $role]
        ) {
            $people[$login] = User::query()->create([
                'login' => $login,
                'title' => $title,
                'role' => $role,
                'password' => self::PASSWORD,
            ]);
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
        $job = $this->open->handle(
            $people['lead'],
            BriefDocument::fromFile(base_path("docs/guide/briefs/{$brief}.yaml")),
        );
        for ($laid = 0; $laid < $stones; $laid++) {
            $progress = $this->bridge->progress($job->refresh());
            $step = $progress->current();
            if ($step === null || $progress->isShutHere($step)) {
                break;
            }
            $this->lay($job, $people['evening'], $step, self::evidence($step, $progress->evidence()));
        }
        Date::setTestNow();
    }

    /** @param  array<string, string>  $evidence */
    private function lay(Job $job, User $user, Step $step, array $evidence): void
    {
        $act = function (string $action, array $input = []) use ($job, $user, $step): void {
            $this->walk->handle(
                $job->id,
                $user,
                $step->id,
                $action,
                $input,
                (int) Job::query()->whereKey($job->id)->value('last_entry'),
            );
        };
        if ($step->isOneWay()) {
            $act('confirm', ['serial' => substr((string) $step->confirmation?->serial, -4), 'read_from' => 'label']);
        } else {
            $act($step->presence === Presence::WalkAway ? 'walk' : 'start');
        }
        Date::setTestNow(Date::now()->addSeconds($step->time->likely->seconds));
        $act('done', ['evidence' => $evidence]);
    }

    /**
     * What the path expects, with words of the demo world where it expects none.
     *
     * @param  array<string, array<string, string>>  $earlier
     * @return array<string, string>
     */
    private static function evidence(Step $step, array $earlier): array
    {
        $said = [
            'condition' => 'Two scratches on the left side',
            'accessories' => 'power lead, keyboard',
            'agreed_by' => 'the counter lead',
            'promised' => 'ready by Friday',
            'key_kept' => 'in the crew office safe',
        ];

        return [
            ...WalkThrough::evidence($step, $earlier),
            ...array_intersect_key(
                $said,
                array_flip(array_map(static fn (Evidence $one): string => $one->id, $step->evidence)),
            ),
        ];
    }
}
