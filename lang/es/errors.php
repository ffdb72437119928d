<?php

return [
    'host' => 'Aquí no hay ninguna página. Pide la dirección que te dio tu centro.',
    'pages' => [
        '401' => [
            'title' => 'Primero inicia sesión',
            'text' => 'Esta página es para quien ha iniciado sesión.',
        ],
        '403' => [
            'title' => 'No es para ti',
            'text' => 'Has iniciado sesión, pero esta página es de otra persona. Si debería ser tuya, pregunta a '.
                'coordinación.',
        ],
        '404' => [
            'title' => 'Aquí no hay nada',
            'text' => 'En esta dirección no hay ninguna página. Si te trajo un enlace, se ha cambiado o tiene un '.
                'error; búscalo otra vez donde lo encontraste.',
        ],
        '405' => [
            'title' => 'Así no',
            'text' => 'Esta dirección no se abre de esa manera. Vuelve atrás y usa el botón de la página.',
        ],
        '419' => [
            'title' => 'Esta página esperó demasiado',
            'text' => 'Estuvo abierta tanto tiempo que ya no es seguro enviarla. Vuelve atrás, cárgala de nuevo y '.
                'envíala otra vez; no se ha cambiado nada.',
        ],
        '429' => [
            'title' => 'Demasiados intentos',
            'text' => 'Desde aquí llegaron demasiados intentos en poco tiempo. Espera un minuto y vuelve a '.
                'intentarlo.',
        ],
        '4xx' => [
            'title' => 'No ha funcionado',
            'text' => 'No se pudo responder a la petición. Vuelve atrás e inténtalo de nuevo.',
        ],
        '500' => [
            'title' => 'Algo se ha roto',
            'text' => 'Es un error nuestro, y queda anotado. No se guarda nada a medias. Inténtalo de nuevo; si '.
                'vuelve a pasar, cuenta a coordinación qué estabas haciendo.',
        ],
        '503' => [
            'title' => 'Volvemos en un momento',
            'text' => 'Estamos poniendo Nomada al día. Lo que está en marcha sigue después por sí solo.',
        ],
        '5xx' => [
            'title' => 'Algo se ha roto',
            'text' => 'Es un error nuestro, y queda anotado. Inténtalo de nuevo dentro de un momento.',
        ],
    ],
    'first' => 'A la primera página',
    'sign_in' => 'Iniciar sesión',
    'key' => [
        'title' => 'La clave no corresponde a la base de datos',
        'text' => 'Los enlaces, los códigos y las cartas están sellados con otra APP_KEY que la de .env. Vuelve a '.
            'poner la que había cuando se creó o se guardó la base de datos; no se pierde nada, y sin ella no se abre '.
            'nada.',
        'console' => 'APP_KEY no corresponde a esta base de datos: lo sellado en ella se selló con otra. Vuelve a '.
            'poner esa clave en .env.',
    ],
];
