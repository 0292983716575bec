<p>Nothing opens it on this job.</p>
