<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\FilesForStick;
use App\Bridge\JobBridge;
use App\Bridge\StickRegister;
use App\Models\Job;
use App\Models\StickState;
use App\Models\User;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Text\Counted;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A stick of files that was built for a job and read back lays its stone, by the same rules as a person's click. */
final class LayFilesStone
{
    public function __construct(
        private readonly JobBridge $bridge,
        private readonly StickRegister $register,
        private readonly LayByFact $lay,
    ) {
    }

    /** Says at the field "stick" where what was built is not what the path wants now. */
    public function handle(int $number, User $user, string $slug): StonesLaid
    {
        return DB::transaction(function () use ($number, $user, $slug): StonesLaid {
            $job = Job::locked($number);
            ContentsRemoved::check($job);
            $of = FilesForStick::of($job) ?? throw self::not('The path of this job wants no such stick any more.');
            $stick = $this->register->find($slug);
            $state = StickState::of($slug);
            if ($stick === null || $state->condition !== StickCondition::Good) {
                throw self::not('Nothing is proven on this stick.');
            }
            if (! $of->isOn($slug)) {
                throw self::not('The files that the path wants are others now: build it again.');
            }
            $this->bridge->stopping($job)?->mayGoOn($user->role);

            return $this->lay($job, $user, $stick, $of);
        });
    }

    private function lay(Job $job, User $user, Stick $stick, FilesForStick $of): StonesLaid
    {
        $content = StickState::of($stick->id)->content ?? [];

        return $this->lay->handle($job, $user, $of->wanted->for->proves(), [
            'text' => $stick->name.($stick->serial === null ? '' : ", serial {$stick->serial}").': '
                .Counted::of((int) ($content['files'] ?? 0), 'file').' read back past the cache, each checksum equal.',
            'stick' => $stick->id,
        ], $stick->serial);
    }

    private static function not(string $why): ValidationException
    {
        return ValidationException::withMessages(['stick' => $why]);
    }
}
