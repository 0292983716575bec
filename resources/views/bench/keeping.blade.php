<section class="panel keeping {{ $keeping->raises() ? 'raised' : '' }}" aria-label="Safe-keeping">
<h2>Safe-keeping <span class="fine">for the lead</span></h2>
@if ($keeping->backup === null)
<p class="verdict hold">
No backup has been made of this bench yet:
<code>bin/backup DEST</code> on this computer makes one while people work.
</p>
@else
<p class="{{ $keeping->old ? 'verdict hold' : '' }}">
Last backup {!! \App\View\Words::time($keeping->backup->created_at) !!}, {{ $keeping->size() }}, read back:
{{ implode(', ', $keeping->backup->parts) }} <span class="fine">to {{ $keeping->backup->place }}</span>
@if ($keeping->old)
<b>It is older than a week.</b>
@endif
</p>
@endif
@foreach ($keeping->dead as $name)
<p class="verdict stop">Not running: {{ $name }}. <code>bin/start</code> starts it.</p>
@endforeach
@if ($keeping->deaths !== [])
<form method="post" action="/bench/deaths-seen" class="deaths">
@csrf
<p class="verdict hold">
Died and was started again: {{ $keeping->deathWords() }}.
What it worked on went on or says that it failed.
</p>
<button class="btn small">Seen</button>
</form>
@endif
@if ($keeping->due !== [])
<p class="verdict hold">Due to be deleted:</p>
<ul>
@foreach ($keeping->due as $one)
<li>{{ $one['words'] }}</li>
@endforeach
</ul>
<p><a class="btn small" href="/retention">See and delete</a></p>
@endif
</section>
