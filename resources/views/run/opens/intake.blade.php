<p>
It opens with another choice: <a href="/jobs/{{ $job->id }}/intake" data-key="i">change the intake</a> of this job.
</p>
