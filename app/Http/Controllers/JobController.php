<?php

namespace App\Http\Controllers;

use App\Actions\OpenJob;
use App\Bridge\EarlierVisits;
use App\Bridge\JobBridge;
use App\Bridge\JobStick;
use App\Bridge\ShelfChoices;
use App\Catalogue\CatalogueStore;
use App\Http\Asked;
use App\Http\Requests\IntakeForm;
use App\Http\Requests\IntakeRequest;
use App\Models\CurrentPath;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\OpeningPhoto;
use App\View\BecauseColumn;
use App\View\CoreFigure;
use App\View\CoreSample;
use App\View\IntakePage;
use App\View\JobLine;
use App\View\JobPage;
use App\View\JobStanding;
use App\View\PathList;
use App\View\SeenBefore;
use App\View\StickStone;
use Cobblestone\Bench\Reminders;
use Cobblestone\Brief\SameAgain;
use Illuminate\Contracts\Pagination\Paginator;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\HtmlString;

final class JobController
{
    /** Jobs that are counted one by one. */
    private const COUNTED = 1000;

    public function index(Request $request): View
    {
        $query = trim(Asked::text($request, 'q'));
        $jobs = DB::table('jobs')
            ->join('users', 'users.id', '=', 'jobs.user_id')
            ->when(
                $query !== '',
                fn ($jobs) => $jobs->where('jobs.title', 'ilike', '%'.addcslashes($query, '%_\\').'%'),
            )
            ->orderByDesc('jobs.id')
            ->select(['jobs.id', 'slot', 'jobs.title', 'status', 'summary', 'users.title as by'])
            ->selectRaw('extract(epoch from jobs.created_at)::bigint as taken')
            ->simplePaginate(25)
            ->withQueryString();

        return view('jobs.index', [
            'jobs' => $jobs->through(JobLine::of(...)),
            'query' => $query,
            'many' => self::many($jobs, $query),
        ]);
    }

    /**
     * How many jobs the list has; null where only counting all that carry the words would tell, which takes longer than
     * finding the newest of them.
     *
     * @param  Paginator<int, object>  $jobs
     */
    private static function many(Paginator $jobs, string $query): ?string
    {
        if ($query === '') {
            // How many thousands there are helps nobody, and takes longer to count than the page to show.
            $some = DB::table('jobs')->select('id')->limit(self::COUNTED + 1);
            $many = DB::query()->fromSub($some, 'some')->count();

            return $many > self::COUNTED ? 'more than '.self::COUNTED : (string) $many;
        }

        return $jobs->hasPages() ? null : (string) count($jobs->items());
    }

    /** A machine that was here before begins with what it is: what stood on it then does not hold any more. */
    public function create(Request $request, CatalogueStore $store, JobBridge $bridge): View
    {
        $again = self::again($request);

        return view('jobs.new', [
            'form' => new IntakePage(
                $again === null ? [] : SameAgain::of($bridge->brief($again)),
                $store->catalogue(),
                IntakeForm::KINDS,
                IntakeForm::shelf(ShelfChoices::of()),
            ),
            'again' => $again,
        ]);
    }

    public function store(IntakeRequest $request, OpenJob $open, JobBridge $bridge): RedirectResponse
    {
        $again = self::again($request);
        $job = $request->guarded(fn () => $open->handle(
            $request->user(),
            $request->brief($again === null ? [] : SameAgain::of($bridge->brief($again))),
        ));

        return redirect("/jobs/{$job->id}", 303);
    }

    /** The machine of a serial that is being typed, as it was here before. */
    public function seen(Request $request): View
    {
        $given = $request->validate([
            'job' => 'nullable|integer|min:1|max:2147483647', 'facts.machine\.serial' => 'nullable|string|max:120',
        ]);
        $of = isset($given['job']) ? Job::query()->find((int) $given['job']) : null;

        return view('jobs.seen', [
            'seen' => SeenBefore::of(EarlierVisits::of($given['facts']['machine.serial'] ?? null, $of)),
            'new' => $of === null,
        ]);
    }

    private static function again(Request $request): ?Job
    {
        $again = $request->isMethodSafe() ? Asked::text($request, 'again') : (string) $request->input('again');
        $job = ! ctype_digit($again) || strlen($again) > 9 ? null : Job::query()->find((int) $again);

        return $job?->contents_removed_at === null ? $job : null;
    }

    public function show(Job $job, Request $request, JobBridge $bridge, JobStick $stick): View
    {
        $plan = $job->currentPlan();
        $progress = $bridge->progressOf($job, $plan);
        $chosen =
            $progress->plan->step(Asked::text($request, 'stone')) ??
            ($progress->current() ?? $progress->plan->steps[0]);

        $zone = (string) config('cobblestone.timezone');

        return view('jobs.show', [
            'job' => $job,
            'progress' => $progress,
            'step' => $chosen,
            'photos' => OpeningPhoto::of($chosen->opensMachine() ? $progress->plan->job->model : null),
            'because' => BecauseColumn::of($progress->plan, $chosen),
            'path' => PathList::of($job, $plan, $progress, $chosen),
            'stickStone' => StickStone::of($job, $chosen, $stick),
            'standing' => new JobStanding(
                $job,
                $progress,
                SeenBefore::of(EarlierVisits::of($job->machine_serial, $job)),
                Reminders::rollback($progress, $zone),
                $zone,
            ),
            'page' => new JobPage(
                $job,
                $progress,
                $chosen,
                $job->revision > 1 ? $job->currentRevision() : null,
                self::cut($plan),
            ),
        ]);
    }

    /** Drive and stick cut open: drawn from the path alone. */
    private static function cut(CurrentPath $path): HtmlString
    {
        return new HtmlString($path->kept('cut', static fn (): string => implode(array_map(
            static fn (CoreFigure $core): string => '<section class="panel">'
                .view('parts.core', ['core' => $core])->render().'</section>',
            CoreSample::of($path->typed()),
        ))));
    }

    public function log(Job $job): View
    {
        $entries = LogRecord::query()->with('user')->where('job_id', $job->id)->orderByDesc('id')->paginate(100);

        return view('jobs.log', [
            'job' => $job,
            'entries' => $entries,
            'titles' => array_column($job->currentPlan()->typed()->steps, 'title', 'id'),
        ]);
    }
}
