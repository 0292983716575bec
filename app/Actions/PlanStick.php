<?php

namespace App\Actions;

use App\Answers\AnswerFault;
use App\Bridge\JobAnswers;
use App\Bridge\KeptStick;
use App\Bridge\StickBridge;
use App\Bridge\StickRegister;
use App\Bridge\WayBridge;
use App\Catalogue\CatalogueStore;
use App\Devices\Build\BuildFailure;
use App\Devices\DriverFolders;
use App\Models\BenchPolicy;
use App\Models\Job;
use App\Models\ShelfFile;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\AnswerText;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Ways\Way;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\LayoutImpossible;
use Illuminate\Validation\ValidationException;

/** The plan of one stick, from what was chosen on the ways page. */
final class PlanStick
{
    public function __construct(
        private readonly StickRegister $register,
        private readonly WayBridge $ways,
        private readonly CatalogueStore $catalogue,
    ) {
    }

    /**
     * @param  StickOrder  $order  what was chosen
     * @param  bool  $toBuild  whether it is built here, or only exported
     *
     * @throws ValidationException with what is wrong, at the field
     */
    public function handle(ShelfFile $file, StickOrder $order, bool $toBuild): StickPlan
    {
        [$slug, $drivers] = [$order->stick, $order->drivers];
        $stick =
            $this->register->now()[$slug] ??
            throw ValidationException::withMessages(['stick' => 'The register has no such stick.']);
        $report =
            $file->inspected() ??
            throw ValidationException::withMessages(['way' => 'The image has not been looked into yet.']);
        $folder = DriverFolders::path($drivers);
        $way = $this->ways->compare($file, $report, $stick, $drivers)->way($order->way);
        if ($way === null || ! $way->isPossible() || ($toBuild && ! $way->buildable)) {
            throw ValidationException::withMessages([
                'way' => $way === null ? 'There is no such way.' : implode(' ', $way->against ?: $way->costs),
            ]);
        }
        $wish = $this->wish($file, $order, $way);
        try {
            return StickBridge::plan(
                $file->path(),
                $report,
                $file->sha256,
                $this->register->device($slug)->target(),
                $wish,
                $folder,
            );
        } catch (PlanFault|LayoutImpossible|BuildFailure $e) {
            throw ValidationException::withMessages(['way' => $e->getMessage()]);
        }
    }

    private function wish(ShelfFile $file, StickOrder $order, Way $way): StickWish
    {
        return new StickWish(
            $file->title(),
            Bytes::mebi((int) BenchPolicy::present()->figure('part_mebibytes')),
            $way->mode,
            $way->scheme,
            $way->storage,
            parts: WayBridge::parts($file),
            splitter: WayBridge::splitter($file),
            takenLabels: $this->register->labels($order->stick),
            answers: $this->answers($order->job),
        );
    }

    /** @throws ValidationException where there is no such open job, or its file of answers cannot be made */
    private function answers(?int $job): ?AnswerText
    {
        if ($job === null) {
            return null;
        }
        try {
            $of = Job::query()->where('status', 'open')->find($job)
                ?? throw ValidationException::withMessages(['job' => 'There is no such open job.']);
            $file = JobAnswers::of($of->currentPlan()->typed(), $this->catalogue);
        } catch (AnswerFault $e) {
            throw ValidationException::withMessages(['job' => $e->getMessage()]);
        }

        return $file === null ? null : new AnswerText($file->path, $file->text);
    }

    /**
     * @param  int|null  $job  number of the job that it is built for
     *
     * @throws ValidationException where the stick may not be written
     */
    public function mayGo(Stick $stick, ?int $job = null): void
    {
        if (! $stick->contentsMayGo) {
            throw ValidationException::withMessages([
                'stick' => "What is on {$stick->name} must stay: {$stick->contents}.",
            ]);
        }
        $kept = KeptStick::of($stick->id);
        if ($kept?->isMadeForHolder() === true && $kept->holder()['id'] !== $job) {
            throw ValidationException::withMessages([
                'stick' => "{$stick->name} was made for {$kept->words()}. Choose another stick, or wait for it.",
            ]);
        }
    }
}
