<?php

// Commands are found in app/Console/Commands.
