@if ($standing->seen !== null)
@include('jobs.seen', ['seen' => $standing->seen, 'new' => false])
@endif
@if ($standing->wayBack() !== null)
<section class="notice" aria-label="Way back"><b>{{ $standing->wayBack() }}</b>
@if ($standing->wayBackReminders() !== '')
<span class="fine">Reminders: {{ $standing->wayBackReminders() }}.</span>
@if (auth()->user()->mayWork())
<x-act :to="'/jobs/'.$job->id.'/state/rollback-lost'" :seen="$job->last_entry">
<button class="btn small">The old system's folder was removed</button>
</x-act>
@endif
@endif
</section>
@endif
@if ($waits = $standing->waits())
<section class="notice waits-for" aria-label="Waiting"><b>Waits for {{ $waits['whom'] }}</b> {{ $waits['rest'] }}
@if (auth()->user()->mayWork())
<x-act :to="'/jobs/'.$job->id.'/state/resume'" :seen="$job->last_entry">
<button class="btn small go">It goes on</button>
</x-act>
@endif
</section>
@endif
@if ($standing->reminder() !== null && auth()->user()->mayWork())
<x-act :to="'/jobs/'.$job->id.'/state/reminded'" :seen="$job->last_entry" class="notice">
Reminder: {{ $standing->reminder() }} <button class="btn small">Seen</button>
</x-act>
@endif
