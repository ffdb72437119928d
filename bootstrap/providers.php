<?php

return [Nomada\App\Providers\NomadaServiceProvider::class];
