import { Router } from 'express';

/** The page of addresses in plain dress: no banner of the package that draws it. */
const DOCS_PAGE = {
  customSiteTitle: 'Open Larder: addresses',
  customCss: '.swagger-ui .topbar { display: none }',
};

/** All of it is made when it is first asked for: most servers never are, and start sooner. */
async function made() {
  const [{ openApi }, { default: swaggerUi }] = await Promise.all([
    import('../openapi'),
    import('swagger-ui-express'),
  ]);
  const document = openApi();
  return { document, serve: swaggerUi.serve, page: swaggerUi.setup(document, DOCS_PAGE) };
}

/** The list of addresses: as a page, and as an OpenAPI document. */
export function addressPages(): Router {
  let pages: ReturnType<typeof made> | null = null;
  const get = () => (pages ??= made());
  const router = Router();
  router.get('/openapi.json', async (_request, response) => {
    response.json((await get()).document);
  });
  router.use(async (request, response, next) => {
    const { serve, page } = await get();
    const inner = Router().use(serve, page);
    inner(request, response, next);
  });
  return router;
}
