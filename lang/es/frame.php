<?php

return [
    'to_content' => 'Al contenido',
    'roles' => [
        'coordinator' => 'coordinación',
        'teacher' => 'docente',
        'student' => 'estudiante',
        'guardian' => 'tutor o tutora',
    ],
    'account' => 'Tu cuenta',
    'scheme' => 'Claro u oscuro',
    'sign_out' => 'Cerrar sesión',
    'keys' => [
        'title' => 'Las teclas de esta pantalla',
        'these' => 'estas teclas',
        'close' => 'cerrar',
        'shut' => 'Cerrar',
    ],
];
