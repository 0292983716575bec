<p>
It opens when the <a href="/jobs/{{ $job->id }}/memory" data-key="m">memory sheet</a> says that the fault is found,
or that two passes at standard speed are clean.
</p>
