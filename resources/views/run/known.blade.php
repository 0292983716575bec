<p>{{ \App\View\AcceptancePage::sentence($table) }}
<a href="/jobs/{{ $job->id }}/acceptance" data-key="o">All rows, and reading the machine <kbd>o</kbd></a></p>
@if ($table->with('equal', 'within') !== [])
<details class="known-rows"><summary>Read, and as expected</summary>
<ul>
@foreach ($table->with('equal', 'within') as $row)
<li>{{ $row->evidence->label }}: <span class="mono">{{ $row->observed() }}</span></li>
@endforeach
</ul>
</details>
@endif
